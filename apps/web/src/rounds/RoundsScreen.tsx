import { Coming } from '../parts/Coming.tsx';

export function RoundsScreen() {
  return (
    <Coming name="Rounds">
      Queen rearing will be planned here: donors, grafts, starters and finishers, cells to compartments, and
      the season made and remade as takes come in.
    </Coming>
  );
}
