import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { check } from './answer.ts';
import { gathered } from './gathered.ts';

describe('checks on one matter', () => {
  const { checks } = check({ design: familyDesign('fourWay') });
  const open = checks.filter(({ holds }) => !holds);

  it('are one note that names all rooms', () => {
    expect(open).toHaveLength(4);
    const [note, ...more] = gathered(open);
    expect(more).toEqual([]);
    expect(note?.sentence).toBe(
      'Left, Mid-left, Mid-right and Right: 3.6 mm to spare: lift slowly; propolis will close it.',
    );
    expect(note?.keys).toEqual(open.map(({ key }) => key));
    expect(note?.places).toEqual([...new Set(open.flatMap(({ places }) => places))]);
  });

  it('stay apart where they differ: in what they say, in their reason to stand, in their fix', () => {
    const [a, b, ...rest] = open;
    if (!a || !b) throw new Error('two');
    expect(gathered([a, { ...b, sentence: 'Right: 5 mm to spare.' }])).toHaveLength(2);
    expect(gathered([a, { ...b, overruled: 'It is so.' }, ...rest])).toHaveLength(2);
    const fix = { label: 'Widen it', design: familyDesign('threeWay') };
    expect(gathered([{ ...a, fix }, b, ...rest])).toHaveLength(2);
    // Nothing is lost.
    expect(
      gathered(checks)
        .flatMap(({ keys }) => keys)
        .sort(),
    ).toEqual(checks.map(({ key }) => key).sort());
  });
});
