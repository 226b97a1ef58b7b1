import type { ReactNode } from 'react';

interface CavityProps {
  title: string;
  figures: string;
  children: ReactNode;
  /** What the sun warms: the wall above, at the left of the box, or the one below. */
  sunAt: 'left' | 'right' | undefined;
  sun: string;
}

/** A room from above, the front at the left, its left wall above: wood around what hangs in it. */
export function Cavity({ title, figures, sunAt, sun, children }: CavityProps) {
  return (
    <div className="min-w-0 flex-1">
      <h3 className="mb-1">
        <strong>{title}</strong> <span className="text-soft">{figures}</span>
      </h3>
      <div className="border border-ink bg-[var(--wood)] px-2.5">
        <Wall warm={sunAt === 'left'} sun={sun} />
        <div className="border border-ink bg-[var(--cavity)] p-1">{children}</div>
        <Wall warm={sunAt === 'right'} sun={sun} />
      </div>
    </div>
  );
}

/** The wall that the sun warms bears a line of yellow and says so: never colour alone. */
const Wall = ({ warm, sun }: { warm: boolean; sun: string }) => (
  <p
    className={`min-h-4 text-xs leading-4 ${warm ? 'border-y-2 border-[var(--yellow)] font-semibold text-ink' : ''}`}
  >
    {warm ? `☀ ${sun}` : ''}
  </p>
);
