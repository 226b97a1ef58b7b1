import type { CombContent, CombSide } from '@yellow-cell/contract';
import { combWords } from '@yellow-cell/core';

/** How each content of a comb is drawn: by pattern and letter first, by tone second. */
export const combLook: Readonly<Record<CombContent, { letter: string; style: React.CSSProperties }>> = {
  eggs: {
    letter: 'E',
    style: {
      background: 'radial-gradient(circle, var(--ink) 1px, transparent 1.4px) 0 0 / 5px 5px, var(--slip)',
    },
  },
  openBrood: {
    letter: 'O',
    style: {
      background: 'radial-gradient(circle, var(--ink) 1.6px, transparent 2px) 0 0 / 6px 6px, var(--cavity)',
    },
  },
  sealed: { letter: 'S', style: { background: 'var(--wood-line)' } },
  drone: {
    letter: 'D',
    style: { background: 'repeating-linear-gradient(0deg, var(--wood-line) 0 3px, var(--wood) 3px 6px)' },
  },
  stores: {
    letter: 'H',
    style: { background: 'repeating-linear-gradient(45deg, var(--comb) 0 4px, var(--comb-line) 4px 5px)' },
  },
  pollen: {
    letter: 'P',
    style: { background: 'repeating-linear-gradient(90deg, var(--comb-line) 0 2px, var(--slip) 2px 5px)' },
  },
  partDrawn: {
    letter: 'd',
    style: {
      background: 'repeating-linear-gradient(0deg, transparent 0 4px, var(--hairline) 4px 5px), var(--slip)',
    },
  },
  foundation: {
    letter: 'f',
    style: {
      background: 'repeating-linear-gradient(60deg, transparent 0 5px, var(--hairline) 5px 6px), var(--slip)',
    },
  },
};
export const combContents = Object.keys(combLook) as CombContent[];

/** One side of a comb as a strip: what is on it, by share. */
export function CombBar({ side, label }: { side: CombSide | undefined; label: string }) {
  const parts = side ? combContents.filter((key) => (side[key] ?? 0) > 0) : [];
  const said = parts.map((key) => `${combWords[key]} ${Math.round((side?.[key] ?? 0) * 100)} %`).join(', ');
  return (
    <span
      role="img"
      aria-label={`${label}: ${side ? said || 'empty drawn comb' : 'not looked at'}`}
      title={said || undefined}
      className="flex h-5 w-full overflow-hidden rounded-sm border border-hairline bg-slip text-[11px] leading-5"
    >
      {parts.map((key) => (
        <span
          key={key}
          aria-hidden
          className="overflow-hidden text-center font-bold"
          style={{ ...combLook[key].style, width: `${(side?.[key] ?? 0) * 100}%` }}
        >
          <span className="rounded-sm bg-slip px-0.5 text-ink">{combLook[key].letter}</span>
        </span>
      ))}
      {!side && <span className="w-full text-center text-soft">not looked at</span>}
    </span>
  );
}

export function CombKey() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft" aria-label="What the strips show">
      {combContents.map((key) => (
        <li key={key} className="flex items-center gap-1">
          <span
            aria-hidden
            className="inline-block h-4 w-6 border border-hairline text-center text-[11px] font-bold leading-4 text-ink"
            style={combLook[key].style}
          >
            <span className="rounded-sm bg-slip px-0.5">{combLook[key].letter}</span>
          </span>
          {combWords[key]}
        </li>
      ))}
      <li>the rest: empty drawn comb</li>
    </ul>
  );
}
