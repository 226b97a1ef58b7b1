import type { CombSide } from '@yellow-cell/contract';
import { combWords } from '@yellow-cell/core';
import { combContents, combLook } from '../frames/CombBar.tsx';

interface CombStripProps {
  sides: readonly [CombSide, CombSide] | undefined;
  label: string;
}

const SIDES = [0, 1] as const;

/** A comb from above, both its sides one above the other, the one nearer the left wall first. */
export function CombStrip({ sides, label }: CombStripProps) {
  const said = sides?.map(
    (side) =>
      combContents
        .filter((key) => (side[key] ?? 0) > 0)
        .map((key) => `${combWords[key]} ${Math.round((side[key] ?? 0) * 100)} %`)
        .join(', ') || 'empty drawn comb',
  );
  const words = said ? `${said[0]}; other side ${said[1]}` : 'not looked through';
  return (
    <span
      role="img"
      aria-label={`${label}: ${words}`}
      title={words}
      className="grid h-5 min-w-0 flex-1 grid-rows-2 overflow-hidden border border-[var(--comb-line)] bg-slip max-lg:h-8"
    >
      {sides ? (
        SIDES.map((index) => (
          <span
            key={index}
            aria-hidden
            className={`flex ${index === 1 ? 'border-t border-[var(--comb-line)]' : ''}`}
          >
            {combContents
              .filter((key) => (sides[index][key] ?? 0) > 0)
              .map((key) => (
                <span
                  key={key}
                  style={{ ...combLook[key].style, width: `${(sides[index][key] ?? 0) * 100}%` }}
                />
              ))}
          </span>
        ))
      ) : (
        <span aria-hidden className="row-span-2 self-center text-center text-xs text-soft">
          not looked through
        </span>
      )}
    </span>
  );
}
