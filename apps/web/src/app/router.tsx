import { createBrowserRouter, Navigate } from 'react-router';
import { ErrorScreen } from './ErrorScreen.tsx';
import { Frame } from './Frame.tsx';
import { NotFound } from './NotFound.tsx';

/** One chunk for each place: a screen loads when it is gone to. */
export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <ErrorScreen />,
    hydrateFallbackElement: <p className="p-6">Loading…</p>,
    children: [
      {
        errorElement: <ErrorScreen />,
        children: [
          { index: true, element: <Navigate to="/yard" replace /> },
          {
            path: 'bench',
            lazy: async () => ({ Component: (await import('../bench/DesignsScreen.tsx')).DesignsScreen }),
          },
          {
            path: 'bench/start',
            lazy: async () => ({ Component: (await import('../bench/StartScreen.tsx')).StartScreen }),
          },
          {
            path: 'bench/:design/compare',
            lazy: async () => ({ Component: (await import('../bench/CompareScreen.tsx')).CompareScreen }),
          },
          {
            path: 'bench/:design/build',
            lazy: async () => ({ Component: (await import('../carpentry/BuildScreen.tsx')).BuildScreen }),
          },
          {
            path: 'bench/:design',
            lazy: async () => ({ Component: (await import('../bench/BenchScreen.tsx')).BenchScreen }),
          },
          {
            path: 'yard/:yard/cards',
            lazy: async () => ({ Component: (await import('../yard/CardsScreen.tsx')).CardsScreen }),
          },
          {
            path: 'yard/:yard/season',
            lazy: async () => ({ Component: (await import('../yard/SeasonScreen.tsx')).SeasonScreen }),
          },
          {
            path: 'yard/:yard/frames',
            lazy: async () => ({ Component: (await import('../frames/FramesScreen.tsx')).FramesScreen }),
          },
          {
            path: 'yard/:yard/box/:box/run/:run',
            lazy: async () => ({
              Component: (await import('../playbooks/PlaybookScreen.tsx')).PlaybookScreen,
            }),
          },
          {
            path: 'yard/:yard/walk',
            lazy: async () => ({ Component: (await import('../walk/WalkScreen.tsx')).WalkScreen }),
          },
          {
            path: 'yard/:yard/scan',
            lazy: async () => ({ Component: (await import('../scan/ScanScreen.tsx')).ScanScreen }),
          },
          {
            path: 'yard/:yard/many',
            lazy: async () => ({ Component: (await import('../many/ManyScreen.tsx')).ManyScreen }),
          },
          {
            path: 'yard/:yard?',
            lazy: async () => ({ Component: (await import('../yard/YardScreen.tsx')).YardScreen }),
          },
          {
            path: 'queen/:queen',
            lazy: async () => ({ Component: (await import('../yard/QueenScreen.tsx')).QueenScreen }),
          },
          {
            path: 'guide',
            lazy: async () => ({ Component: (await import('../guide/GuideScreen.tsx')).GuideScreen }),
          },
          {
            path: 'models',
            lazy: async () => ({ Component: (await import('../models/ModelsScreen.tsx')).ModelsScreen }),
          },
          {
            path: 'settle',
            lazy: async () => ({ Component: (await import('../yard/SettleScreen.tsx')).SettleScreen }),
          },
          {
            path: 'rounds/week',
            lazy: async () => ({ Component: (await import('../rounds/WeekSheet.tsx')).WeekSheet }),
          },
          {
            path: 'rounds',
            lazy: async () => ({ Component: (await import('../rounds/RoundsScreen.tsx')).RoundsScreen }),
          },
          {
            path: 'winter/sheet',
            lazy: async () => ({ Component: (await import('../winter/WinterSheet.tsx')).WinterSheet }),
          },
          {
            path: 'winter',
            lazy: async () => ({ Component: (await import('../winter/WinterScreen.tsx')).WinterScreen }),
          },
          {
            path: 'ledger',
            lazy: async () => ({ Component: (await import('../ledger/LedgerScreen.tsx')).LedgerScreen }),
          },
          {
            path: 'workshop',
            lazy: async () => ({
              Component: (await import('../workshop/WorkshopScreen.tsx')).WorkshopScreen,
            }),
          },
          {
            path: 'figures/:yard?',
            lazy: async () => ({ Component: (await import('../figures/FiguresScreen.tsx')).FiguresScreen }),
          },
          { path: '*', element: <NotFound /> },
        ],
      },
    ],
  },
]);
