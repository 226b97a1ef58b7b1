import { describe, expect, it } from 'vitest';
import { quick, quickProblems } from './quick.ts';

const boxes = [
  { label: 'B7', compartments: ['West', 'Middle', 'East'] },
  { label: 'B2', compartments: ['West', 'East'] },
  { label: 'N1', compartments: ['Whole'] },
  { label: 'Box 9', compartments: ['Lower left', 'Lower right', 'No. 3 from west'] },
  { label: '12', compartments: ['West', 'East'], dividers: 0 },
];
const ask = (line: string, more: Partial<Parameters<typeof quick>[0]> = {}) =>
  quick({ line, on: '2026-05-31', boxes, ...more });
/** `B7 West eggsSeen; …`, with the day where it is another, or the question. */
function told(line: string, more: Partial<Parameters<typeof quick>[0]> = {}): string {
  const { entries, asks } = ask(line, more);
  if (asks !== null) return `? ${asks}`;
  return entries
    .map(({ box, compartment, on, kind, note, ...fields }) =>
      [
        box,
        compartment ?? '-',
        kind,
        ...Object.entries(fields).map(([name, value]) => `${name}=${value}`),
        ...(on === '2026-05-31' ? [] : [`@${on}`]),
        ...(note ? [`“${note}”`] : []),
      ].join(' '),
    )
    .join('; ');
}

describe('a line without the interface', () => {
  it.each([
    // Of the box, of a room, of both.
    ['B7 weighs 20 kg', 'B7 - weighed weight_kg=20 felt=false'],
    ['B7 w weighs 20 kg', '? That is said of B7 as a whole: leave out the compartment.'],
    ['B7 all weighs 20 kg', '? That is said of B7 as a whole: leave out the compartment.'],
    ['B7 w eggs weighs 20 kg', 'B7 West eggsSeen; B7 - weighed weight_kg=20 felt=false'],
    ['N1 weighs 1,250 kg', '? Is the separator one of thousands or of decimals?'],
    ['N1 weighs 300 kg', 'N1 - weighed weight_kg=300 felt=false'],
    ['N1 weighs 301 kg', '? No box of 301 kg is weighed.'],
    ['N1 weighs 0 kg', '? No box of 0 kg is weighed.'],
    ['B7 note calm', 'B7 - noted “calm”'],
    ['B7 w note calm', 'B7 West noted “calm”'],
    ['N1 note calm', 'N1 - noted “calm”'],
    ['B7 w, m eggs note calm', 'B7 West eggsSeen “calm”; B7 Middle eggsSeen'],
    ['B7 w eggs, m lots of eggs note calm', 'B7 West eggsSeen; B7 Middle eggsSeen “lots of eggs calm”'],
    // Rooms.
    ['B7 w w eggs', '? West of B7 is named twice.'],
    ['B7 all eggs', 'B7 West eggsSeen; B7 Middle eggsSeen; B7 East eggsSeen'],
    ['B7 w all eggs', '? All of B7, or w alone?'],
    ['both B2 eggs', 'B2 West eggsSeen; B2 East eggsSeen'],
    ['in B7 west eggs', 'B7 West eggsSeen'],
    ['B7 at east eggs', 'B7 East eggsSeen'],
    ['b7east eggs', 'B7 East eggsSeen'],
    ['b7mid eggs', 'B7 Middle eggsSeen'],
    ['B2 m eggs', '? B2 has no “m”.'],
    ['B2 w B7 e eggs', 'B2 West eggsSeen; B7 East eggsSeen'],
    ['B2 B7 e eggs', '? Which compartment of B2?'],
    ['box 9 lower left eggs', 'Box 9 Lower left eggsSeen'],
    ['Box  9 lower r eggs', '? “r” is not understood; after “note” anything can stand.'],
    ['box 9 no 3 eggs', 'Box 9 No. 3 from west eggsSeen'],
    ['box 9 no. 3 from west eggs', 'Box 9 No. 3 from west eggsSeen'],
    ['box 9 lower eggs', '? Which one of Box 9: Lower left or Lower right?'],
    ['12 w eggs', '12 West eggsSeen'],
    ['box 12 e 3 seams', '12 East strengthSeen seams=3'],
    ['B7 w 12 seams', 'B7 West strengthSeen seams=12'],
    // Dividers.
    ['B2 pull divider', 'B2 - dividerSet divider=1 stands=false'],
    ['B7 divider 2 back in', 'B7 - dividerSet divider=2 stands=true'],
    ['B7 pull divider 3', '? Which divider of B7, counted from the left?'],
    ['B7 pull divider', '? Which divider of B7, counted from the left?'],
    ['N1 pull divider', '? N1 has no divider.'],
    ['box 12 pull divider', '? 12 has no divider.'],
    // Combining.
    ['B2 e combine with w', 'B2 East combined intoBox=B2 into=West'],
    ['B2 e combine with e', '? Combine East with which compartment of B2?'],
    ['B2 e combine with B7 e', 'B2 East combined intoBox=B7 into=East'],
    ['B2 e combine with N1', 'B2 East combined intoBox=N1 into=Whole'],
    ['N1 combined into B7', '? Combine Whole with which compartment of B7?'],
    ['B2 combine w with e', '? Which goes into which?'],
    // What goes together, and what does not.
    [
      'B7 w eggs, no eggs',
      '? “eggs seen” and “no eggs seen (a note)” of B7 West do not go together: which is it?',
    ],
    [
      'B7 w failed eggs',
      '? “failed, reason unknown” and “eggs seen” of B7 West do not go together: which is it?',
    ],
    [
      'B7 w cell given, cell opened',
      '? “cell given” and “cell seen opened” of B7 West do not go together: which is it?',
    ],
    ['B7 w wasps, wasps over', '? “wasps seen” and “wasps over” of B7 West do not go together: which is it?'],
    [
      'B7 w wasps, robbing',
      'B7 West troubleSeen trouble=wasps over=false; B7 West troubleSeen trouble=robbing over=false',
    ],
    [
      'B7 w q seen, q not seen',
      '? “queen seen” and “queen looked for, not seen” of B7 West do not go together: which is it?',
    ],
    ['B7 w eggs eggs', '? “eggs seen” is said twice of B7 West.'],
    ['B7 w eggs, m no eggs', 'B7 West eggsSeen; B7 Middle noted “No eggs seen.”'],
    ['B7 w eggs, B2 w no eggs', 'B7 West eggsSeen; B2 West noted “No eggs seen.”'],
    [
      'B7 w no eggs 28 may, w eggs 30 may',
      'B7 West noted @2026-05-28 “No eggs seen.”; B7 West eggsSeen @2026-05-30',
    ],
    [
      'B7 w fed 1 kg fondant, fed 2 kg patty',
      'B7 West fed feed=fondant amount_kg=1; B7 West fed feed=patty amount_kg=2',
    ],
    ['B7 w 3 seams 4 seams', '? “3 seams of bees” and “4 seams of bees”: which of them?'],
    [
      'B7 w strips in for 6 weeks, strips out',
      '? “Strips put in, out by 12 Jul” and “strips out” of B7 West do not go together: which is it?',
    ],
    // Strips.
    ['B7 w strips in for 42 days', 'B7 West stripsPut product=Strips outBy=2026-07-12'],
    ['B7 w strips in for 1 day', 'B7 West stripsPut product=Strips outBy=2026-06-01'],
    ['B7 w strips in for 0 days', '? For how long do they stay in?'],
    ['B7 w strips in for 366 days', 'B7 West stripsPut product=Strips outBy=2027-06-01'],
    ['B7 w strips in for 367 days', '? For how long do they stay in?'],
    ['B7 w strips in until 5/6', '? Is that 5 June or 6 May?'],
    ['B7 w strips in until 2026-05-31', '? 31 May 2026 is past: on which day to come?'],
    ['B7 w Oxstrip strips in until 1 june', 'B7 West stripsPut product=Oxstrip outBy=2026-06-01'],
    ['28 may B7 w strips in until 30 may', 'B7 West stripsPut product=Strips outBy=2026-05-30 @2026-05-28'],
    // Days.
    [
      '28 may B7 w eggs, m failed',
      'B7 West eggsSeen @2026-05-28; B7 Middle failed reason=unknown @2026-05-28',
    ],
    ['B7 w eggs 28 may 28 may', 'B7 West eggsSeen @2026-05-28'],
    ['B7 w eggs 28 may 29 may', '? Which of the two days was it?'],
    ['B7 w eggs 2026-06-01', '? 1 Jun 2026 is still to come: on which day was it?'],
    ['B7 w eggs on 28 may', 'B7 West eggsSeen @2026-05-28'],
    ['west eggs', '? Which box?'],
    ['eggs', '? Which box?'],
    ['inside -3 C N1', '? “inside -3” is not understood; after “note” anything can stand.'],
    ['N1 inside 34', '? 34 of which degrees?'],
    ['N1 inside 70 C', '? 70 °C is in no box.'],
    ['N1 69 C inside', 'N1 Whole temperatureRead inside_C=69'],
  ])('%s', (line, expected) => {
    expect(told(line)).toBe(expected);
  });

  it('takes pints, days and what is on screen as they are said to be meant', () => {
    expect(told('N1 fed 1 qt 1:1', { measures: { pints: 'us' } })).toBe(
      'N1 Whole fed feed=syrup11 amount_kg=1.173',
    );
    expect(told('N1 fed 2 pt 1:1', { measures: { pints: 'imperial' } })).toBe(
      'N1 Whole fed feed=syrup11 amount_kg=1.409',
    );
    expect(told('N1 fed 500 ml 2:1')).toBe('N1 Whole fed feed=syrup21 amount_kg=0.66');
    expect(told('N1 fed 1 l fondant')).toBe('? Fondant is weighed: how many kilograms or pounds?');
    expect(told('N1 eggs 5/6', { measures: { dates: 'monthFirst' } })).toBe('N1 Whole eggsSeen @2026-05-06');
    expect(told('eggs', { here: { box: 'B7', compartment: 'Middle' } })).toBe('B7 Middle eggsSeen');
    expect(told('eggs', { here: { box: 'B7' } })).toBe('? Which compartment of B7?');
    expect(told('w eggs', { here: { box: 'B7', compartment: 'Middle' } })).toBe('B7 West eggsSeen');
    expect(told('B2 e eggs', { here: { box: 'B7', compartment: 'Middle' } })).toBe('B2 East eggsSeen');
  });

  it('tells each word that stands in no entry, in order, as it was typed', () => {
    const unread = (line: string) => ask(line).unread;
    expect(unread('B7 w eggs')).toEqual([]);
    expect(unread('B7 w Bananas eggs  and Pears')).toEqual(['Bananas', 'Pears']);
    expect(unread('B7 w cover, Bananas')).toEqual(['cover', 'Bananas']);
    expect(unread('B7 w fed  0.5')).toEqual(['fed', '0.5']);
    expect(unread('B7 eggs')).toEqual([]);
    expect(ask('B7 w BANANS').choices).toEqual([{ says: 'note BANANS', line: 'B7 w note BANANS' }]);
    expect(ask('B7 w EGS').choices.map(({ line }) => line)).toContain('B7 w eggs');
  });

  it('is not read where it is a story', () => {
    const long = (count: number) => `N1 note ${'x'.repeat(count - 8)}`;
    expect(told(long(5_000))).toContain('noted');
    expect(told(long(5_001))).toContain('too long');
    expect(told(`N1 ${'eggs '.repeat(58)}`)).toContain('said twice');
    expect(told(`N1 ${'eggs '.repeat(59)}`)).toContain('too long');
  });

  it('refuses names by which boxes or rooms could not be told apart', () => {
    const bad = [
      { label: 'B1', compartments: ['a', 'A'] },
      { label: 'b1', compartments: ['a'] },
    ];
    expect(quickProblems({ boxes: bad }).map(({ path }) => path)).toEqual([
      'boxes.1.label',
      'boxes.0.compartments.1',
    ]);
    expect(quickProblems({ boxes })).toEqual([]);
  });
});
