/** So many labels from a first one, counted on from its number; those that are taken already are passed over. */
export function labelsFrom(first: string, count: number, taken: readonly string[]): string[] {
  const used = new Set(taken.map((label) => label.toLowerCase()));
  const [, stem = '', digits = ''] = /^(.*?)(\d*)$/.exec(first.trim()) ?? [];
  if (count === 1) return [first.trim()];
  const labels: string[] = [];
  for (let number = digits === '' ? 1 : Number(digits); labels.length < count; number++) {
    const label = `${stem}${String(number).padStart(digits.length, '0')}`;
    if (!used.has(label.toLowerCase())) labels.push(label);
  }
  return labels;
}

/**
 * Whether a box is among those asked for: a range such as `B1-B12`, a box such as `B1`, which is not B12, a label in
 * quotes, or any part of label, room and status; several by commas.
 */
export function isAsked(only: string, label: string, words: string): boolean {
  const parts = (only.match(/"[^"]*"|[^,"]+/g) ?? [])
    .map((part) => part.trim().toLowerCase())
    .filter((part) => part !== '');
  if (parts.length === 0) return true;
  const own = label.toLowerCase();
  return parts.some((part) => {
    if (part.startsWith('"')) return part === `"${own}"`;
    if (numbered(part) && numbered(own)) return part === own;
    return inRange(part, own) ?? `${own} ${words.toLowerCase()}`.includes(part);
  });
}

/** The same the other way round: labels as they are asked for, those that follow one another as a range, a word in quotes. */
export function asAsked(labels: readonly string[]): string {
  const found: { text: string; stem: string; from: number; to: number }[] = [];
  for (const label of labels) {
    const [, stem = '', digits = ''] = /^([a-z]*)(\d+)$/i.exec(label) ?? [];
    const last = found.at(-1);
    const number = Number(digits);
    // Numbers that begin with 0 are no numbers of a range.
    const isPlain = digits !== '' && String(number) === digits;
    if (isPlain && last?.stem === stem && last.to + 1 === number) last.to = number;
    else
      found.push({
        text: digits === '' ? `"${label}"` : label,
        stem: isPlain ? stem : '\0',
        from: number,
        to: number,
      });
  }
  return found
    .map(({ text, stem, from, to }) => (to > from ? `${stem}${from}-${stem}${to}` : text))
    .join(', ');
}

const numbered = (label: string): boolean => /^[a-z]*\d+$/.test(label);

function inRange(part: string, label: string): boolean | undefined {
  const [, stem, from, last, to] = /^([a-z]*)(\d+)\s*[-–]\s*([a-z]*)(\d+)$/.exec(part) ?? [];
  if (stem === undefined || (last !== '' && last !== stem)) return undefined;
  const [, own, number] = /^([a-z]*)(\d+)$/.exec(label) ?? [];
  return own === stem && Number(number) >= Number(from) && Number(number) <= Number(to);
}
