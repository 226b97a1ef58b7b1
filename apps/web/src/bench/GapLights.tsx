import type { GapVerdict } from '@yellow-cell/contract';
import { type BoxModel, gap as gapOf, showLength } from '@yellow-cell/core';
import { memo, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { type Placing, rectOf } from '../drawing/place.ts';

/** What bees do with a gap, in words (handbook 2). */
export const gapWords: Readonly<Record<GapVerdict, string>> = {
  shut: 'shut; bees glue it',
  air: 'air passes; bees glue it',
  excluder: 'workers pass, a queen does not',
  squeeze: 'queens squeeze through; glued',
  beeSpace: 'bee space, left free',
  brace: 'brace comb is built in it',
  comb: 'comb is built in it',
};
/** Lines across a gap, closer the less passes it: told apart without colour. */
const LINES: Readonly<Record<GapVerdict, number>> = {
  shut: 3,
  air: 4,
  excluder: 5,
  squeeze: 6,
  beeSpace: 0,
  brace: 9,
  comb: 7,
};

type Axis = 'x' | 'y' | 'z';

interface GapLightsProps {
  model: BoxModel;
  placing: Placing;
  /** The two axes that the drawing shows, to the right and up as drawn. */
  u: Axis;
  v: Axis;
  /** Level that is shown, by its height; undefined for all. */
  level: number | undefined;
}

interface Lit {
  key: string;
  area: { x: number; y: number; width: number; height: number };
  figure: number;
  verdict: GapVerdict;
}

/** Gaps and passages light up by class when pointed at, with their figure. */
export const GapLights = memo(function GapLights({ model, placing, u, v, level }: GapLightsProps) {
  const units = useUnits();
  const [lit, setLit] = useState<Lit>();
  const spaces = model.spaces
    .filter(({ body }) => level === undefined || body?.z[0] === level)
    .map(({ id }) => id);
  const gaps: Lit[] = model.gaps
    .filter(({ space }) => spaces.includes(space))
    .map(({ id, at, gap_mm, verdict }) => ({
      key: id,
      area: placing.rect(rectOf(at[u], at[v])),
      figure: gap_mm,
      verdict,
    }));
  const passages: Lit[] = model.passages
    .filter(({ between, reason }) => between.some((id) => spaces.includes(id)) && reason !== 'joint')
    .filter(({ at }) => Number.isFinite(at[u][0]) && Number.isFinite(at[v][0]))
    .map(({ between, reason, part, at, gap_mm }, index) => ({
      key: `${between.join('-')}-${reason}-${part}-${index}`,
      area: placing.rect(rectOf(at[u], at[v])),
      figure: gap_mm,
      verdict: gapOf({ gap_mm }).verdict,
    }));
  const shown = [...gaps, ...passages].filter(
    ({ area }) => area.width > 0.5 && area.height > 0.5 && area.width < 2_000,
  );
  return (
    <g>
      {shown.map((each) => (
        <rect
          key={each.key}
          {...each.area}
          fill="transparent"
          aria-hidden
          onPointerEnter={() => setLit(each)}
          onPointerLeave={() => setLit(undefined)}
        />
      ))}
      {lit && <Light {...lit} text={`${showLength(lit.figure, units)} · ${gapWords[lit.verdict]}`} />}
    </g>
  );
});

function Light({ area, verdict, text }: Lit & { text: string }) {
  const step = LINES[verdict];
  const danger = verdict === 'squeeze' || verdict === 'brace' || verdict === 'comb';
  const wide = text.length * 6.4 + 14;
  const x = area.x + area.width / 2;
  const y = area.y > 40 ? area.y - 12 : area.y + area.height + 24;
  return (
    <g pointerEvents="none">
      <rect
        {...area}
        fill="var(--yellow)"
        fillOpacity={0.65}
        stroke={danger ? 'var(--danger)' : 'var(--ink)'}
      />
      {step > 0 &&
        Array.from({ length: Math.floor(Math.max(area.width, area.height) / step) }, (_, index) => {
          const at = index * step;
          const d =
            area.width >= area.height
              ? `M${area.x + at} ${area.y}v${area.height}`
              : `M${area.x} ${area.y + at}h${area.width}`;
          return <path key={at} d={d} stroke="var(--ink)" strokeWidth={0.6} opacity={0.7} />;
        })}
      <g transform={`translate(${Math.max(wide / 2 + 2, x)} ${y})`}>
        <rect x={-wide / 2} y={-13} width={wide} height={20} rx={4} fill="var(--ink)" />
        <text textAnchor="middle" y={2} fontSize={12.5} fontWeight={600} fill="var(--paper)">
          {text}
        </text>
      </g>
    </g>
  );
}
