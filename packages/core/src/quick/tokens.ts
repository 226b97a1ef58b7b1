/** One word of a line, or one figure, or one sign; where it stands in what was typed. */
export interface Token {
  /** In lower case, with plain apostrophes. */
  text: string;
  is: 'word' | 'number' | 'slash' | 'ratio' | 'iso' | 'ago' | 'percent' | 'half' | 'sign';
  start: number;
  end: number;
  /** True where a comma, a semicolon or a stop stands before it. */
  apart: boolean;
  /** True where nothing, not even a space, stands between it and the one before. */
  glued: boolean;
}

const KINDS: readonly (readonly [Token['is'], RegExp])[] = [
  ['iso', /\d{4}-\d{2}-\d{2}(?!\d)/uy],
  ['ago', /[-−]\d{1,3}d(?![\p{L}\d])/iuy],
  ['slash', /\d{1,4}\/\d{1,4}(?:\/\d{2,4})?(?![\d/])/uy],
  ['ratio', /[12]:1(?!\d)/uy],
  ['number', /\d+(?:[.,]\d+)*/uy],
  ['half', /[½¼¾]/uy],
  ['percent', /%/uy],
  ['word', /\p{L}+(?:['’-]\p{L}+)*/uy],
];
/** What parts words and says nothing by itself. A question mark is none of them: it is a doubt. */
const APART = /[,;.!:]/u;
const BESIDE = /[()"“”°\s]/u;
/** Joins words: “w/e”, “b7-w”, “w+e”. */
const JOINS = /[-/&+]/u;

/** Every character of a line is in a token, or is one that parts them; signs that mean nothing here become tokens too. */
export function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  let apart = false;
  let at = 0;
  while (at < line.length) {
    const [is, text] = next(line, at, tokens.at(-1)?.end === at);
    if (is === undefined) {
      if (APART.test(text)) apart = true;
      at += text.length;
      continue;
    }
    const before = tokens.at(-1);
    const glued = before?.end === at;
    if (is === 'sign' && glued && before?.is === 'sign') {
      before.end += text.length;
      before.text += text;
    } else {
      tokens.push({
        text: text.toLowerCase().replaceAll('’', "'"),
        is,
        start: at,
        end: at + text.length,
        apart,
        glued,
      });
      apart = false;
    }
    at += text.length;
  }
  return tokens;
}

function next(line: string, at: number, glued: boolean): [Token['is'] | undefined, string] {
  for (const [is, kind] of KINDS) {
    // “3-4” is a range and no “-4 d”; “b7-w” joins.
    if (is === 'ago' && glued) continue;
    kind.lastIndex = at;
    const [text] = kind.exec(line) ?? [];
    if (text !== undefined) return [is, text];
  }
  const character = String.fromCodePoint(line.codePointAt(at) ?? 0);
  if (APART.test(character) || BESIDE.test(character)) return [undefined, character];
  const after = line.slice(at + 1);
  if (JOINS.test(character) && /^\s*\p{L}/u.test(after)) return [undefined, character];
  return ['sign', character];
}
