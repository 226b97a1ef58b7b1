import { lazy } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { YardScreen } from '../yard/YardScreen.tsx';
import { Frame } from './Frame.tsx';
import { NotFound } from './NotFound.tsx';

/** One chunk for each place: a screen loads when it is gone to. */
const DesignsScreen = lazy(async () => ({
  default: (await import('../bench/DesignsScreen.tsx')).DesignsScreen,
}));
const StartScreen = lazy(async () => ({ default: (await import('../bench/StartScreen.tsx')).StartScreen }));
const CompareScreen = lazy(async () => ({
  default: (await import('../bench/CompareScreen.tsx')).CompareScreen,
}));
const BuildScreen = lazy(async () => ({
  default: (await import('../carpentry/BuildScreen.tsx')).BuildScreen,
}));
const BenchScreen = lazy(async () => ({ default: (await import('../bench/BenchScreen.tsx')).BenchScreen }));
const CardsScreen = lazy(async () => ({ default: (await import('../yard/CardsScreen.tsx')).CardsScreen }));
const SeasonScreen = lazy(async () => ({ default: (await import('../yard/SeasonScreen.tsx')).SeasonScreen }));
const FramesScreen = lazy(async () => ({
  default: (await import('../frames/FramesScreen.tsx')).FramesScreen,
}));
const PlaybookScreen = lazy(async () => ({
  default: (await import('../playbooks/PlaybookScreen.tsx')).PlaybookScreen,
}));
const WalkScreen = lazy(async () => ({ default: (await import('../walk/WalkScreen.tsx')).WalkScreen }));
const ScanScreen = lazy(async () => ({ default: (await import('../scan/ScanScreen.tsx')).ScanScreen }));
const ManyScreen = lazy(async () => ({ default: (await import('../many/ManyScreen.tsx')).ManyScreen }));
const QueenScreen = lazy(async () => ({ default: (await import('../yard/QueenScreen.tsx')).QueenScreen }));
const GuideScreen = lazy(async () => ({ default: (await import('../guide/GuideScreen.tsx')).GuideScreen }));
const ModelsScreen = lazy(async () => ({
  default: (await import('../models/ModelsScreen.tsx')).ModelsScreen,
}));
const SettleScreen = lazy(async () => ({ default: (await import('../yard/SettleScreen.tsx')).SettleScreen }));
const WeekSheet = lazy(async () => ({ default: (await import('../rounds/WeekSheet.tsx')).WeekSheet }));
const RoundsScreen = lazy(async () => ({
  default: (await import('../rounds/RoundsScreen.tsx')).RoundsScreen,
}));
const WinterSheet = lazy(async () => ({ default: (await import('../winter/WinterSheet.tsx')).WinterSheet }));
const WinterScreen = lazy(async () => ({
  default: (await import('../winter/WinterScreen.tsx')).WinterScreen,
}));
const LedgerScreen = lazy(async () => ({
  default: (await import('../ledger/LedgerScreen.tsx')).LedgerScreen,
}));
const WorkshopScreen = lazy(async () => ({
  default: (await import('../workshop/WorkshopScreen.tsx')).WorkshopScreen,
}));
const FiguresScreen = lazy(async () => ({
  default: (await import('../figures/FiguresScreen.tsx')).FiguresScreen,
}));

export const Addresses = () => (
  <Routes>
    <Route element={<Frame />}>
      <Route index element={<Navigate to="/yard" replace />} />
      <Route path="bench" element={<DesignsScreen />} />
      <Route path="bench/start" element={<StartScreen />} />
      <Route path="bench/:design/compare" element={<CompareScreen />} />
      <Route path="bench/:design/build" element={<BuildScreen />} />
      <Route path="bench/:design" element={<BenchScreen />} />
      <Route path="yard/:yard/cards" element={<CardsScreen />} />
      <Route path="yard/:yard/season" element={<SeasonScreen />} />
      <Route path="yard/:yard/frames" element={<FramesScreen />} />
      <Route path="yard/:yard/box/:box/run/:run" element={<PlaybookScreen />} />
      <Route path="yard/:yard/walk" element={<WalkScreen />} />
      <Route path="yard/:yard/scan" element={<ScanScreen />} />
      <Route path="yard/:yard/many" element={<ManyScreen />} />
      <Route path="yard/:yard?" element={<YardScreen />} />
      <Route path="queen/:queen" element={<QueenScreen />} />
      <Route path="guide" element={<GuideScreen />} />
      <Route path="models" element={<ModelsScreen />} />
      <Route path="settle" element={<SettleScreen />} />
      <Route path="rounds/week" element={<WeekSheet />} />
      <Route path="rounds" element={<RoundsScreen />} />
      <Route path="winter/sheet" element={<WinterSheet />} />
      <Route path="winter" element={<WinterScreen />} />
      <Route path="ledger" element={<LedgerScreen />} />
      <Route path="workshop" element={<WorkshopScreen />} />
      <Route path="figures/:yard?" element={<FiguresScreen />} />
      <Route path="*" element={<NotFound />} />
    </Route>
  </Routes>
);
