import { barsOf, type CellFate, cellsUntil, countOf, type Day, type RoundView } from '@yellow-cell/core';

/** Fifteen on a bar, as in the drawings of a graft frame. */
const EACH = 15;
const APART = 20;
const WORDS: Readonly<Record<CellFate, string>> = {
  given: 'given',
  left: 'left',
  discarded: 'thrown away',
  refused: 'not taken on',
  uncounted: 'not counted yet',
};
const CUP = 'M-4.5 0V3.5A4.5 4.5 0 0 0 4.5 3.5V0';
const GROWN = 'M-4.5 0H4.5V9C4.5 13 2.5 16 0 16C-2.5 16 -4.5 13 -4.5 9Z';

/** A round's graft bars with what became of each graft; told apart by their shapes. */
export function Bars({ view: { round, outcome }, today }: { view: RoundView; today: Day }) {
  if (round.planned) return null;
  const wordOf = (fate: CellFate): string =>
    fate === 'left' && today > cellsUntil(round) ? 'never given' : WORDS[fate];
  const bars = barsOf(round, outcome?.given ?? 0, EACH);
  const all = bars.flat();
  const counts = (Object.keys(WORDS) as CellFate[])
    .map((fate) => [fate, all.filter((each) => each === fate).length] as const)
    .filter(([, count]) => count > 0);
  const said = counts.map(([fate, count]) => `${count} ${wordOf(fate)}`).join(', ');
  return (
    <figure className="mt-3">
      <svg
        viewBox={`0 0 ${EACH * APART} ${bars.length * 30}`}
        className="w-full"
        role="img"
        aria-label={`${countOf(round.grafts, 'graft')}: ${said}`}
      >
        {bars.map((bar, row) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a bar is its place
          <g key={row} transform={`translate(0 ${row * 30 + 2})`}>
            <rect width={EACH * APART} height={6} rx={1} fill="var(--wood)" stroke="var(--wood-line)" />
            {bar.map((fate, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a graft is its place
              <g key={place} transform={`translate(${(place + 0.5) * APART} 6.5)`}>
                <Graft fate={fate} />
              </g>
            ))}
          </g>
        ))}
      </svg>
      <figcaption className="flex flex-wrap gap-x-4 text-sm">
        {counts.map(([fate, count]) => (
          <span key={fate} className="inline-flex items-center gap-1.5">
            <svg width={14} height={20} viewBox="-7 -1 14 20" aria-hidden>
              <Graft fate={fate} />
            </svg>
            {count} {wordOf(fate)}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

function Graft({ fate }: { fate: CellFate }) {
  const ink = { stroke: 'var(--ink)', strokeWidth: 1.3, fill: 'none' };
  if (fate === 'refused') return <path d={CUP} {...ink} stroke="var(--soft)" />;
  if (fate === 'uncounted')
    return (
      <>
        <path d={CUP} {...ink} />
        <circle cy={3} r={1.3} fill="var(--ink)" />
      </>
    );
  if (fate === 'discarded')
    return (
      <>
        <path d={GROWN} {...ink} stroke="var(--soft)" />
        <path d="M-5.5 3L5.5 13M5.5 3L-5.5 13" {...ink} stroke="var(--danger)" />
      </>
    );
  // Where one was given, its place on the bar is empty.
  if (fate === 'given') return <path d="M-4.5 0.5H4.5" {...ink} strokeWidth={2.5} />;
  return <path d={GROWN} {...ink} fill="var(--yellow)" />;
}
