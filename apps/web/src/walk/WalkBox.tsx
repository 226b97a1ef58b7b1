import { useChoice } from '../yard/useChoice.ts';
import type { BoxView } from '../yard/useYard.ts';
import { YardBox } from '../yard/YardBox.tsx';

/** Sheet units round a box that hold it however it is turned, its entrances and its label. */
const HALF = 92;

/** One box large, as it stands: its rooms are pressed to be chosen. */
export function WalkBox({ boxView }: { boxView: BoxView }) {
  const choice = useChoice();
  return (
    <svg
      role="group"
      aria-label={`${boxView.box.label} as it stands`}
      viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF + 18}`}
      className="mx-auto block max-h-[19rem] w-full"
    >
      <YardBox
        view={boxView}
        x={0}
        y={0}
        isChosen={choice.box === boxView.box.id}
        bay={choice.bay}
        onChoose={choice.choose}
      />
    </svg>
  );
}
