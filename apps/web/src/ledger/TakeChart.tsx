import type { TakeGroup } from '@yellow-cell/contract';
import { scaleBand, scaleLinear } from 'd3-scale';
import { useSize } from '../parts/useSize.ts';

const ROW = 40;
const TOP = 26;

/**
 * One line a group: where its true rate lies as a bar, the middle of that as a dot, its own record as a stroke across;
 * a group of which nothing is decided has a dashed bar and no dot. The breeder's whole record is a band.
 */
export function TakeChart({ groups, all }: { groups: readonly TakeGroup[]; all: TakeGroup }) {
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 860, height: 400 });
  const narrow = width < 560;
  const left = narrow ? 16 : 220;
  const right = width - (narrow ? 84 : 150);
  const row = narrow ? ROW + 14 : ROW;
  const x = scaleLinear([0, 1], [left, right]);
  const y = scaleBand(
    groups.map(({ key }) => key),
    [TOP, TOP + groups.length * row],
  );
  const height = TOP + groups.length * row + 30;
  return (
    <div ref={ref} className="mt-3">
      <svg width={width} height={height} role="img" aria-label={summary(groups)}>
        <rect
          x={x(all.low)}
          y={TOP - 8}
          width={x(all.high) - x(all.low)}
          height={groups.length * row + 8}
          fill="var(--glow)"
        />
        <text x={x((all.low + all.high) / 2)} y={12} textAnchor="middle" fontSize={12} fill="var(--soft)">
          all together
        </text>
        {x.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={TOP - 8} y2={height - 26} stroke="var(--hairline)" />
            <text x={x(tick)} y={height - 8} textAnchor="middle" fontSize={12} fill="var(--soft)">
              {Math.round(tick * 100)} %
            </text>
          </g>
        ))}
        {groups.map((group) => {
          const middle = (y(group.key) ?? 0) + (narrow ? row - 17 : row / 2);
          return (
            <g key={group.key} fontSize={14}>
              <text
                x={narrow ? left : left - 12}
                y={narrow ? middle - 15 : middle + 5}
                textAnchor={narrow ? 'start' : 'end'}
                fontWeight={600}
                fill="var(--ink)"
              >
                {nameOf(group)}
              </text>
              <rect
                x={x(group.low)}
                y={middle - 5}
                width={x(group.high) - x(group.low)}
                height={10}
                rx={5}
                fill={group.rate === null ? 'none' : 'var(--comb)'}
                stroke="var(--comb-line)"
                strokeDasharray={group.rate === null ? '4 3' : undefined}
              />
              {group.rate !== null && (
                <>
                  <line
                    x1={x(group.rate)}
                    x2={x(group.rate)}
                    y1={middle - 10}
                    y2={middle + 10}
                    stroke="var(--ink)"
                    strokeWidth={2}
                  />
                  <circle
                    cx={x(group.middle)}
                    cy={middle}
                    r={5.5}
                    fill="var(--slip)"
                    stroke="var(--ink)"
                    strokeWidth={2}
                  />
                </>
              )}
              <text x={right + 14} y={middle + 5} fill="var(--ink)">
                {group.rate === null ? 'none decided' : `${group.takes} of ${group.takes + group.misses}`}
                {group.open > 0 && !narrow && <tspan fill="var(--soft)"> · {group.open} open</tspan>}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}

/** Groups by frames come with a bare number. */
const nameOf = ({ label }: TakeGroup): string =>
  /^\d+$/.test(label) ? `${label} frames` : label.length > 28 ? `${label.slice(0, 27)}…` : label;

function summary(groups: readonly TakeGroup[]): string {
  return groups
    .map((group) =>
      group.rate === null
        ? `${nameOf(group)}: none decided`
        : `${nameOf(group)}: ${group.takes} of ${group.takes + group.misses}, true rate likely ${Math.round(group.low * 100)} to ${Math.round(group.high * 100)} %, in the middle ${Math.round(group.middle * 100)} %`,
    )
    .join('; ');
}
