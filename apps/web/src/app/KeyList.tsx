import { Modal } from '../parts/Modal.tsx';
import { places } from './places.ts';

const rows: readonly (readonly [string, string])[] = [
  ['/', 'Find a box, a design or a yard'],
  ['[  ]', 'A day back, a day on'],
  ['{  }', 'A week back, a week on'],
  ['t', 'Today'],
  ...places.map(({ key, name }) => [key, name] as const),
  ['u', 'Undo the last entry'],
  ['Tab, Enter', 'Walk the boxes, compartments and buttons; choose'],
  ['← → ↑ ↓', 'Map: to the box that lies there'],
  ['+  −  0', 'Map: nearer, farther, the whole yard'],
  ['← → ↑ ↓ ', 'Bench: move the chosen divider by 0.5 mm, with Shift by 5 mm'],
  ['Esc', 'Close, or choose nothing'],
  ['?', 'This list'],
];

export function KeyList({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Keys" onClose={onClose}>
      <dl>
        {rows.map(([key, what]) => (
          <div key={key} className="row-line">
            <dt className="font-bold">{key}</dt>
            <dd className="text-right">{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
