import { Coming } from '../parts/Coming.tsx';

export function WinterScreen() {
  return (
    <Coming name="Winter">
      Wintering will be judged here: which colonies to reduce and to how many frames, where the board goes,
      stores and feed, and when to expand again.
    </Coming>
  );
}
