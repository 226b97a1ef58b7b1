/** The five places, in the order of the work, each with its key. */
export const places = [
  { path: '/bench', name: 'Bench', key: '1' },
  { path: '/yard', name: 'Yard', key: '2' },
  { path: '/rounds', name: 'Rounds', key: '3' },
  { path: '/winter', name: 'Winter', key: '4' },
  { path: '/ledger', name: 'Ledger', key: '5' },
] as const;
