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

/** Whether a box is among those asked for: a range such as `B1-B12`, or any part of label, room and status; several by commas. */
export function isAsked(only: string, label: string, words: string): boolean {
  const parts = only
    .split(',')
    .map((part) => part.trim().toLowerCase())
    .filter((part) => part !== '');
  if (parts.length === 0) return true;
  return parts.some(
    (part) => inRange(part, label.toLowerCase()) ?? `${label} ${words}`.toLowerCase().includes(part),
  );
}

function inRange(part: string, label: string): boolean | undefined {
  const [, stem, from, last, to] = /^([a-z]*)(\d+)\s*[-–]\s*([a-z]*)(\d+)$/.exec(part) ?? [];
  if (stem === undefined || (last !== '' && last !== stem)) return undefined;
  const [, own, number] = /^([a-z]*)(\d+)$/.exec(label) ?? [];
  return own === stem && Number(number) >= Number(from) && Number(number) <= Number(to);
}
