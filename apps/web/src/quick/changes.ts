import { type Chip, plusDays, type QuickContext } from '@yellow-cell/core';

export interface Change {
  says: string;
  line: string;
  does?: 'less' | 'more' | 'out';
}
type Span = Pick<Chip, 'start' | 'end'>;

/** A line with other words where one of its pieces stood. */
export function inSpan(line: string, { start, end }: Span, says: string): string {
  return [line.slice(0, start), says, line.slice(end)]
    .map((part) => part.trim())
    .filter(Boolean)
    .join(' ')
    .replaceAll(' ,', ',');
}

/** How a piece of a line may be changed by a tap: another room, another day, one more or less, or left out. */
export function changesOf(line: string, chip: Chip, chips: readonly Chip[], context: QuickContext): Change[] {
  const out: Change = { says: 'Leave out', line: inSpan(line, chip, ''), does: 'out' };
  if (chip.is === 'day') {
    const yesterday: Change = { says: 'Yesterday', line: inSpan(line, chip, plusDays(context.today, -1)) };
    return chip.start === chip.end ? [yesterday] : [yesterday, { says: 'Today', line: out.line }];
  }
  if (chip.is === 'place') return [...otherRooms(line, chip, chips, context), out];
  return [...oneLessOrMore(line, chip), out];
}

/** Of the box that was named last before it. */
function otherRooms(
  line: string,
  chip: Chip,
  chips: readonly Chip[],
  { boxes, chosen }: QuickContext,
): Change[] {
  const labelOf = ({ says }: Chip) => boxes.find(({ label }) => label === says);
  if (labelOf(chip)) return [];
  const named = chips.filter((each) => each.start < chip.start && labelOf(each)).at(-1);
  const box = (named && labelOf(named)) ?? boxes.find(({ id }) => id === chosen?.box);
  return (box?.compartments ?? [])
    .filter(({ name }) => name !== chip.says)
    .map(({ name }) => ({ says: name, line: inSpan(line, chip, name) }));
}

const HALVES = ['seam', 'bees', 'kg', 'l'];
function oneLessOrMore(line: string, chip: Chip): Change[] {
  const typed = line.slice(chip.start, chip.end);
  const [figure] = /\d+(?:[.,]\d+)?/.exec(typed.replace(/[12]:1/, '')) ?? [];
  if (figure === undefined || chip.is === 'question') return [];
  const value = Number(figure.replace(',', '.'));
  const step = figure.includes('.') || HALVES.some((unit) => typed.includes(unit)) ? 0.5 : value > 20 ? 5 : 1;
  const to = (next: number): Change => ({
    says: String(next),
    line: inSpan(line, chip, typed.replace(figure, String(next))),
  });
  const [less, more] = [value - step, value + step].map((next) => Number(next.toFixed(2)));
  return [
    ...(less !== undefined && less > 0 ? [{ ...to(less), does: 'less' as const }] : []),
    ...(more === undefined ? [] : [{ ...to(more), does: 'more' as const }]),
  ];
}
