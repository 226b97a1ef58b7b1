import type { Token } from './tokens.ts';

const WORDS = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
  'twenty',
];
export const numberWords: readonly string[] = [...WORDS, 'half', 'quarter', 'a', 'an', 'and'];
const PARTS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };

export interface NumberRead {
  next: number;
  /** More than one where a separator may be of thousands or of decimals. */
  values: readonly number[];
}

/** A number that begins at a token: figures, words to twenty, and what stands after them of a half. */
export function numberAt(tokens: readonly Token[], at: number): NumberRead | undefined {
  const token = tokens[at];
  if (!token) return undefined;
  if (token.is === 'half') return { next: at + 1, values: [PARTS[token.text] ?? 0] };
  if (token.is === 'slash') {
    const share = fractionIn(token);
    return share === undefined ? undefined : { next: at + 1, values: [share] };
  }
  if (token.text === 'half') return { next: at + (isArticle(tokens[at + 1]) ? 2 : 1), values: [0.5] };
  const values = token.is === 'number' ? figures(token.text) : wordIn(token);
  const [whole] = values;
  if (whole === undefined) return undefined;
  const over = values.length === 1 && Number.isInteger(whole) ? overAt(tokens, at + 1) : undefined;
  return over ? { next: over.next, values: [whole + over.part] } : { next: at + 1, values };
}

const isArticle = (token: Token | undefined): boolean => token?.text === 'a' || token?.text === 'an';
const wordIn = ({ is, text }: Token): number[] => {
  const value = is === 'word' ? WORDS.indexOf(text) : -1;
  return value < 0 ? [] : [value];
};

/** “3 ½”, “3 1/2”, “three and a half”. */
function overAt(tokens: readonly Token[], at: number): { next: number; part: number } | undefined {
  const [first, second, third] = tokens.slice(at, at + 3);
  if (first?.is === 'half') return { next: at + 1, part: PARTS[first.text] ?? 0 };
  if (first?.is === 'slash') {
    const part = fractionIn(first);
    return part === undefined ? undefined : { next: at + 1, part };
  }
  if (first?.text !== 'and' || !isArticle(second)) return undefined;
  if (third?.text === 'half') return { next: at + 3, part: 0.5 };
  return third?.text === 'quarter' ? { next: at + 3, part: 0.25 } : undefined;
}

function fractionIn({ text }: Token): number | undefined {
  const [, top, bottom] = /^([1-7])\/([248])$/.exec(text) ?? [];
  const share = Number(top) / Number(bottom);
  return share < 1 ? share : undefined;
}

/** A comma before three figures may be of decimals or of thousands: “1,250” is both; “1,5”, “0,250” and “1.250” are not. */
function figures(text: string): number[] {
  if (/^\d+$/.test(text)) return [Number(text)];
  if (/^[1-9]\d{0,2}([.,])\d{3}(\1\d{3})+$/.test(text)) return [Number(text.replaceAll(/[.,]/g, ''))];
  if (/^[1-9]\d{0,2}(?:,\d{3})+\.\d+$/.test(text)) return [Number(text.replaceAll(',', ''))];
  if (/^[1-9]\d{0,2}(?:\.\d{3})+,\d+$/.test(text))
    return [Number(text.replaceAll('.', '').replace(',', '.'))];
  if (!/^\d+[.,]\d+$/.test(text)) return [];
  const decimal = Number(text.replace(',', '.'));
  return /^[1-9]\d{0,2},\d{3}$/.test(text) ? [decimal, Number(text.replace(',', ''))] : [decimal];
}
