import { describe, expect, it } from 'vitest';
import { numberAt } from './numbers.ts';
import { meantAs } from './spelling.ts';
import { tokensOf } from './tokens.ts';

const read = (text: string) => {
  const found = numberAt(tokensOf(text), 0);
  return found ? [found.next, ...found.values] : null;
};

describe('a number in a line', () => {
  it.each([
    ['3', [1, 3]],
    ['0', [1, 0]],
    ['3.5', [1, 3.5]],
    ['3,5', [1, 3.5]],
    ['0,250', [1, 0.25]],
    ['1.250', [1, 1.25]],
    ['1,250', [1, 1.25, 1250]],
    ['12,500', [1, 12.5, 12500]],
    ['1,250,000', [1, 1_250_000]],
    ['1.250.000', [1, 1_250_000]],
    ['1,250.5', [1, 1250.5]],
    ['1.250,5', [1, 1250.5]],
    ['1,250,000.5', [1, 1_250_000.5]],
    ['1.250.000,5', [1, 1_250_000.5]],
    ['1,25,3', null],
    ['three', [1, 3]],
    ['twenty', [1, 20]],
    ['zero', [1, 0]],
    ['half', [1, 0.5]],
    ['half a kilo', [2, 0.5]],
    ['half an ounce', [2, 0.5]],
    ['½', [1, 0.5]],
    ['¾', [1, 0.75]],
    ['3½', [2, 3.5]],
    ['3 ¼', [2, 3.25]],
    ['3 1/2', [2, 3.5]],
    ['2 3/4', [2, 2.75]],
    ['1/2', [1, 0.5]],
    ['7/8', [1, 0.875]],
    ['8/8', null],
    ['5/6', null],
    ['3 5/6', [1, 3]],
    ['three and a half', [4, 3.5]],
    ['three and a quarter', [4, 3.25]],
    ['three and eggs', [1, 3]],
    ['three and a cell', [1, 3]],
    ['3.5 and a half', [1, 3.5]],
    ['eggs', null],
    ['', null],
  ])('%s', (text, expected) => {
    expect(read(text)).toEqual(expected);
  });
});

describe('a word spelt amiss', () => {
  const words = ['eggs', 'egg', 'opened', 'open', 'west', 'wet', 'no', 'fed'];
  it.each([
    ['egs', ['eggs', 'egg']],
    ['eggs', ['egg']],
    ['opend', ['opened', 'open']],
    ['opne', ['open']],
    ['wset', ['west', 'wet']],
    ['ewst', ['west']],
    ['xx', []],
    ['npo', []],
    ['banana', []],
    ['fd', []],
    ['gegs', ['eggs']],
    ['opeend', ['opened']],
    ['oepned', ['opened']],
    ['oened', ['opened']],
    ['poenid', []],
    ['pone', []],
    ['openx', ['open']],
    ['oopen', ['open']],
    ['nepo', []],
    ['opxx', []],
  ])('%s may be %j', (typed, meant) => {
    expect(meantAs(typed, words)).toEqual(meant);
  });
});

describe('the tokens of a line', () => {
  const kinds = (line: string) => tokensOf(line).map(({ is, text }) => `${is} ${text}`);
  it.each([
    ['B7-w, eggs?', ['word b', 'number 7', 'word w', 'word eggs', 'sign ?']],
    ['3-4', ['number 3', 'sign -', 'number 4']],
    ['w/e + m & n', ['word w', 'word e', 'word m', 'word n']],
    [
      '10/12 1/2/2026 1/2/3/4',
      ['slash 10/12', 'slash 1/2/2026', 'number 1', 'sign /', 'number 2', 'sign /', 'slash 3/4'],
    ],
    ['85% 2:1 3:1', ['number 85', 'percent %', 'ratio 2:1', 'number 3', 'number 1']],
    ["didn't Didn’t mid-west", ["word didn't", "word didn't", 'word mid-west']],
    ['🐝🐝 x', ['sign 🐝🐝', 'word x']],
    ['500g (few) “ok”', ['number 500', 'word g', 'word few', 'word ok']],
    ['-2d 3-2d', ['ago -2d', 'number 3', 'sign -', 'number 2', 'word d']],
  ])('%s', (line, expected) => {
    expect(kinds(line)).toEqual(expected);
  });
  it('know where they stand, and what parts them', () => {
    const line = 'eggs, 500g ½';
    const tokens = tokensOf(line);
    expect(tokens.map(({ start, end }) => line.slice(start, end))).toEqual(['eggs', '500', 'g', '½']);
    expect(tokens.map(({ apart }) => apart)).toEqual([false, true, false, false]);
    expect(tokens.map(({ glued }) => glued)).toEqual([false, false, true, false]);
  });
});
