/** A square to be ticked with a pen. */
export const TickBox = () => (
  <span aria-hidden className="inline-block size-3.5 shrink-0 translate-y-0.5 border border-ink" />
);
