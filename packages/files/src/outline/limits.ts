/** What a drawing may hold to be read within a moment; looked for in its text, before any reader builds anything of it. */
const MOST_BYTES = 20e6;
const MOST_VERTICES = 200_000;
const MOST_ENTITIES = 20_000;
const MOST_DEEP = 200;

const many = (count: number): string => count.toLocaleString('en');

/** Why this text is not read, or undefined. Linear in its length. */
export function tooMuch(text: string): string | undefined {
  if (text.length > MOST_BYTES) return `The drawing is larger than ${MOST_BYTES / 1e6} MB; that is no box.`;
  return text.trimStart().startsWith('<') ? tooMuchSvg(text) : tooMuchDxf(text);
}

/** Codes that announce how many points follow: a reader may take their word for it. */
const COUNTS = new Set(['90', '72', '73', '74', '71']);

function tooMuchDxf(text: string): string | undefined {
  let entities = 0;
  let vertices = 0;
  let at = 0;
  const line = (): string => {
    const end = text.indexOf('\n', at);
    const found = text.slice(at, end < 0 ? text.length : end).trim();
    at = end < 0 ? text.length : end + 1;
    return found;
  };
  while (at < text.length) {
    const [code, value] = [line(), line()];
    if (code === '0') entities += 1;
    else if (code === '10' || code === '11') vertices += 1;
    else if (COUNTS.has(code) && Number(value) > MOST_VERTICES)
      return `The drawing says that one of its lines has ${many(Number(value))} points; at most ${many(MOST_VERTICES)} are read.`;
    if (vertices > MOST_VERTICES) return tooManyPoints;
    if (entities > 3 * MOST_ENTITIES) return tooManyParts;
  }
  return undefined;
}

function tooMuchSvg(text: string): string | undefined {
  let parts = 0;
  let deep = 0;
  for (const [tag] of text.matchAll(/<\/?[A-Za-z][^<>]*>/g)) {
    if (tag.startsWith('</')) deep -= 1;
    else {
      parts += 1;
      if (!tag.endsWith('/>')) deep += 1;
    }
    if (deep > MOST_DEEP)
      return `The drawing is nested more than ${MOST_DEEP} groups deep; ungroup it first.`;
    if (parts > MOST_ENTITIES) return tooManyParts;
  }
  // Every point of a path or polygon is two numbers.
  let numbers = 0;
  for (const _ of text.matchAll(/-?[\d.]+(?:e[-+]?\d+)?/gi)) {
    numbers += 1;
    if (numbers > 2 * MOST_VERTICES) return tooManyPoints;
  }
  return undefined;
}

const tooManyPoints = `The drawing has more than ${many(MOST_VERTICES)} points; simplify it first.`;
const tooManyParts = `The drawing has more than ${many(MOST_ENTITIES)} parts; keep the outline alone.`;
