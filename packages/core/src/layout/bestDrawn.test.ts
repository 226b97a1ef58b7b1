import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { mm } from '../box/plainParts.ts';
import { checkDesign } from '../check/check.ts';
import { standardFormats } from '../formats/formats.ts';
import { bestDrawn } from './bestDrawn.ts';

describe('the best box that is drawn for a body', () => {
  it.each(standardFormats.map(({ id, widths }) => [id, widths] as const))(
    'of %s has the compartments wanted, and nothing that its own checks refuse',
    (id, widths) => {
      for (const { width_mm } of widths)
        for (const board of [3, 9.5])
          for (let count = 1; count <= 4; count++) {
            const drawn = bestDrawn(id, mm(width_mm), mm(board), count);
            if (!drawn) continue;
            expect(deriveBox(drawn).compartments).toHaveLength(count);
            const wrong = checkDesign(drawn).filter(
              ({ holds, severity }) => !holds && (severity === 'fault' || severity === 'danger'),
            );
            expect(wrong.map(({ sentence }) => sentence)).toEqual([]);
          }
    },
  );

  it('is found for what people build: three in a ten-frame body, two in one of five', () => {
    expect(bestDrawn('langstroth-deep', mm(373), mm(9.5), 3)?.family).toBe('threeWay');
    expect(bestDrawn('langstroth-deep', mm(190.5), mm(9.5), 2)?.family).toBe('twoWayNucleus');
    expect(bestDrawn('langstroth-deep', mm(60), mm(9.5), 3)).toBeUndefined();
  });
});
