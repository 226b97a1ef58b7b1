import type { QuickContext } from './context.ts';

/** A yard of boxes: B7 in three, its east empty; B2 in two, both with bees; N1 undivided; B4 in four, B5 in five; S1 of two storeys. */
const comp = (name: string, colony?: string, attempt?: string) => ({
  name,
  colony,
  attempt,
  entrances: [`${name}-low`, `${name}-high`],
  bays: [`${name}-bay`],
  frames: 3,
});
export const yard: QuickContext = {
  today: '2026-05-31',
  rounds: [
    { id: 'round-11', number: 11 },
    { id: 'round-12', number: 12 },
  ],
  boxes: [
    {
      id: 'b7',
      label: 'B7',
      boards: ['board-1', 'board-2'],
      compartments: [{ ...comp('West', 'c1', 'a1'), queen: 'q1' }, comp('Middle', 'c2', 'a2'), comp('East')],
    },
    {
      id: 'b2',
      label: 'B2',
      boards: ['board-1'],
      compartments: [comp('West', 'c3', 'a3'), comp('East', 'c4')],
    },
    { id: 'n1', label: 'N1', boards: [], compartments: [comp('Whole', 'c5', 'a5')] },
    {
      id: 'b4',
      label: 'B4',
      boards: ['x', 'y', 'z'],
      compartments: [comp('West', 'c6'), comp('Mid-west', 'c7'), comp('Mid-east', 'c8'), comp('East', 'c9')],
    },
    {
      id: 'b5',
      label: 'B5',
      boards: ['p', 'q', 'r', 's'],
      compartments: [1, 2, 3, 4, 5].map((number) => comp(`No. ${number} from west`, `d${number}`)),
    },
    {
      id: 's1',
      label: 'S1',
      boards: ['t'],
      compartments: [comp('Lower left', 'e1'), comp('Lower right', 'e2'), comp('Upper', 'e3')],
    },
  ],
};
