import { type BoxModel, compartmentNames, fitWord, showLength } from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';
import type { Placing } from '../drawing/place.ts';

interface CompartmentMarksProps {
  model: BoxModel;
  placing: Placing;
  /** Whether there is room beside the box for names and verdicts. */
  named: boolean;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
}

/** Frame numbers on the frames, and beside each compartment its name, slack and verdict. */
export function CompartmentMarks({ model, placing, named, chosen, onChoose }: CompartmentMarksProps) {
  const units = useUnits();
  const names = compartmentNames(model.compartments.length);
  let number = 0;
  return model.compartments.map(({ bays, x, frames, fit }, index) => {
    const id = bays[0] ?? '';
    const area = placing.rect({ x: x[0], y: 0, width: x[1] - x[0], height: model.inside.length });
    const outside = area.x + area.width + model.wall * placing.scale + 24;
    const tight = fit.verdict === 'impossible' || fit.verdict === 'jams';
    return (
      <g key={id}>
        {frames.map((frame) => {
          const bar = placing.rect({
            x: frame.x[0],
            y: frame.y[0],
            width: frame.x[1] - frame.x[0],
            height: frame.y[1] - frame.y[0],
          });
          number += 1;
          const r = Math.min(9, bar.height / 2);
          return (
            <g key={frame.id}>
              <circle
                cx={bar.x + r + 5}
                cy={bar.y + bar.height / 2}
                r={r}
                fill="var(--slip)"
                stroke="var(--comb-line)"
              />
              {r > 5 && (
                <text
                  x={bar.x + r + 5}
                  y={bar.y + bar.height / 2 + 4}
                  fontSize={11}
                  fontWeight={700}
                  textAnchor="middle"
                  fill="var(--ink)"
                >
                  {number}
                </text>
              )}
            </g>
          );
        })}
        {/* The slip lists the compartments as buttons; here the room itself can be pressed too. */}
        <rect
          x={area.x}
          y={area.y}
          width={area.width}
          height={area.height}
          fill="transparent"
          onClick={() => onChoose(id === chosen ? undefined : id)}
          className="cursor-pointer"
          aria-hidden
        />
        {named && area.height > 34 && (
          <g fontSize={13} fill="var(--ink)">
            <text x={outside} y={area.y + area.height / 2 - 3} fontWeight={700}>
              {names[index]}
            </text>
            <text x={outside} y={area.y + area.height / 2 + 14} fill={tight ? 'var(--danger)' : 'var(--ink)'}>
              {fitWord[fit.verdict]}, {showLength(fit.slack_mm, units)}
            </text>
          </g>
        )}
      </g>
    );
  });
}
