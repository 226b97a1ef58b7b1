import { families, familyDesign } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { designFileSchema, readDesignFile } from './designFile.ts';

const file = (content: unknown, more: object = {}) =>
  JSON.stringify({ yellowCell: 'design', name: 'Three-way', content, ...more });
const sound = familyDesign('threeWay');
const problem = (text: string) => {
  const read = readDesignFile(text);
  return read.ok ? undefined : read.problems[0];
};

describe('a design file', () => {
  it('comes back as it went out, for every family', () => {
    for (const { family } of families) {
      const content = familyDesign(family);
      expect(readDesignFile(file(content))).toEqual({
        ok: true,
        file: { yellowCell: 'design', name: 'Three-way', content },
      });
    }
  });

  it('is refused with the place and a sentence, whatever is wrong with it', () => {
    const text = file(sound);
    expect(problem(text.slice(0, -5))?.sentence).toContain('not JSON');
    expect(problem('[]')?.sentence).toContain('no design file');
    expect(problem(file(sound, { colour: 'red' }))).toMatchObject({
      path: 'colour',
      sentence: 'There is no field “colour” here.',
    });
    expect(problem(file({ ...sound, schemaVersion: 7 }))).toMatchObject({
      path: 'content.schemaVersion',
      sentence: expect.stringContaining('newer program'),
    });
    expect(problem(file({ ...sound, floor: { ...sound.floor, lip: { mm: -4 } } }))).toMatchObject({
      path: 'content.floor.lip.mm',
    });
    const [body] = sound.layers;
    expect(problem(file({ ...sound, layers: [{ ...body, grooves: [] }] }))).toMatchObject({
      path: 'content.layers.0.bays',
    });
  });

  it('has a published schema that names its parts', () => {
    const schema = JSON.stringify(designFileSchema());
    for (const name of ['layers', 'grooves', 'entrances', 'overrules', 'json-schema.org'])
      expect(schema).toContain(name);
  });
});
