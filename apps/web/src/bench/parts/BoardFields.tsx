import type { Board } from '@yellow-cell/contract';
import { bodyWith, withDividerAt, withoutPart, withPart } from '@yellow-cell/core';
import { SelectField } from '../../parts/Field.tsx';
import { LengthField } from '../../parts/LengthField.tsx';
import { type PartFieldsProps, PartFrame } from './PartFrame.tsx';

const KINDS: readonly (readonly [Board['kind'], string])[] = [
  ['tight', 'Tight: no bee passes'],
  ['excluder', 'Excluder: workers pass'],
  ['screen', 'Screen: air and scent pass'],
  ['open', 'Open: a gap left on purpose'],
  ['follower', 'Follower: closes on four edges'],
  ['dummy', 'Dummy: bees get round it'],
];
/** What a board of each kind is like when it is new. */
const OF_KIND: Readonly<Record<Board['kind'], (lip: number) => Partial<Omit<Board, 'id' | 'kind'>>>> = {
  tight: (lip) => ({
    slot: null,
    window: null,
    up: { mm: 0 },
    down: { mm: lip },
    ends: { mm: 0 },
    ears: true,
  }),
  excluder: (lip) => ({ slot: 4.2, up: { mm: 0 }, down: { mm: lip }, ends: { mm: 0 }, ears: true }),
  screen: (lip) => ({
    slot: 2.5,
    thickness: { mm: 8 },
    up: { mm: 0 },
    down: { mm: lip },
    ends: { mm: 0 },
    ears: true,
  }),
  open: () => ({ slot: null, window: null, up: { mm: -8 }, down: { mm: 0 } }),
  follower: (lip) => ({
    slot: null,
    window: null,
    up: { mm: 0 },
    down: { mm: lip },
    ends: { mm: 0 },
    ears: true,
  }),
  dummy: () => ({ slot: null, window: null, up: { mm: -7 }, down: { mm: -7 }, ends: { mm: 7 }, ears: false }),
};

export function BoardFields({ desk, board, onChoose }: PartFieldsProps & { board: Board }) {
  const { content } = desk.draft;
  const body = bodyWith(content, board.id);
  const groove = body?.grooves.find(({ id }) => id === board.groove);
  const lip = content.layers[0]?.id === body?.id ? content.floor.lip.mm : 0;
  const set = (patch: Partial<Board>, tag = '') =>
    desk.edit((now) => withPart(now, board.id, patch), tag && `${tag}-${board.id}`);
  if (!groove) return null;
  return (
    <PartFrame
      title={board.kind === 'follower' ? 'Follower' : board.kind === 'dummy' ? 'Dummy' : 'Divider'}
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, board.id))}
    >
      <SelectField
        label="Kind"
        value={board.kind}
        onChange={({ target }) =>
          set({ kind: target.value as Board['kind'], ...OF_KIND[target.value as Board['kind']](lip) })
        }
      >
        {KINDS.map(([kind, label]) => (
          <option key={kind} value={kind}>
            {label}
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-3 gap-x-2">
        <LengthField
          label="From left"
          value={groove.at}
          onChange={(at) => desk.edit((now) => withDividerAt(now, board.id, at), `at-${board.id}`)}
        />
        <LengthField
          label="Thickness"
          value={board.thickness}
          onChange={(thickness) => set({ thickness }, 'thick')}
        />
        <LengthField
          label="Below body"
          takes="signed"
          value={board.down}
          onChange={(down) => set({ down }, 'down')}
        />
        <LengthField
          label="Above body"
          takes="signed"
          value={board.up}
          onChange={(up) => set({ up }, 'up')}
        />
        <LengthField
          label="End play"
          takes="zero"
          value={board.ends}
          onChange={(ends) => set({ ends }, 'ends')}
        />
        {board.slot !== null && (
          <LengthField
            label="Slot"
            value={{ mm: board.slot }}
            onChange={({ mm }) => set({ slot: mm }, 'slot')}
          />
        )}
        <LengthField
          label="Groove depth"
          takes="zero"
          value={groove.depth}
          onChange={(depth) => desk.edit((now) => withPart(now, groove.id, { depth }), `gd-${groove.id}`)}
        />
        <LengthField
          label="Groove play"
          takes="zero"
          value={groove.play}
          onChange={(play) => desk.edit((now) => withPart(now, groove.id, { play }), `gp-${groove.id}`)}
        />
        {board.window && (
          <>
            <LengthField
              label="Window"
              value={board.window.width}
              onChange={(width) => board.window && set({ window: { ...board.window, width } }, 'ww')}
            />
            <LengthField
              label="by height"
              value={board.window.height}
              onChange={(height) => board.window && set({ window: { ...board.window, height } }, 'wh')}
            />
          </>
        )}
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={board.ears}
          onChange={({ target }) => set({ ears: target.checked })}
        />
        Ears or blocks fill the lug rebates
      </label>
      {board.slot !== null && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={board.window !== null}
            onChange={({ target }) =>
              set({ window: target.checked ? { width: { mm: 200 }, height: { mm: 120 } } : null })
            }
          />
          Only a window of it is slotted
        </label>
      )}
    </PartFrame>
  );
}
