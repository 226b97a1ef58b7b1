import type {
  Bay,
  Board,
  Body,
  DesignContent,
  Entrance,
  Hole,
  Mark,
  Sheet,
  Side,
  Slot,
  Vent,
} from '@yellow-cell/contract';
import {
  type BoxModel,
  bodyWith,
  columnsOf,
  findPart,
  fitSentence,
  fitWord,
  frameFormat,
  markUnlike,
  resistanceOf,
  sheetLayer,
  standardFormats,
  withDividerAt,
  withDummy,
  withEntranceAdded,
  withFramesIn,
  withoutPart,
  withPart,
  withVentAdded,
} from '@yellow-cell/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useUnits } from '../app/units.ts';
import { MarkIcon } from '../drawing/MarkSign.tsx';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { Stepper } from '../parts/Stepper.tsx';
import { ClaimField } from './ClaimField.tsx';
import { GapList } from './GapList.tsx';
import { FloorFields, RoofFields } from './StackFields.tsx';
import type { DraftDesk } from './useDraft.ts';

interface PartFieldsProps {
  desk: DraftDesk;
  model: BoxModel;
  id: string;
  onChoose: (id: string | undefined) => void;
}

/** The figures of the part that is chosen, to type. */
export function PartFields(props: PartFieldsProps) {
  const { desk, id, model } = props;
  const { content } = desk.draft;
  if (id === 'floor') return <FloorFields desk={desk} />;
  if (id === 'roof') return <RoofFields desk={desk} />;
  const part = findPart(content, id);
  if (part && 'groove' in part) return <BoardFields {...props} board={part} />;
  if (part && 'state' in part) return <EntranceFields {...props} entrance={part} />;
  if (part && 'mesh' in part && 'side' in part) return <VentFields {...props} vent={part} />;
  if (part && 'closedBy' in part) return <HoleFields {...props} hole={part} />;
  if (part && 'holds' in part) return <SlotFields {...props} slot={part} />;
  if (part && 'kind' in part && part.kind === 'sheet') return <SheetFields {...props} sheet={part} />;
  const space = model.spaces.find((each) => each.id === id || each.bays.some((bay) => bay.id === id));
  if (space?.bays.length) return <SpaceFields {...props} space={space} />;
  return null;
}

function Frame({
  title,
  children,
  onChoose,
  onRemove,
}: {
  title: string;
  children: ReactNode;
  onChoose: PartFieldsProps['onChoose'];
  onRemove?: () => void;
}) {
  return (
    <section data-part-fields aria-label={title} className="-mx-2 mb-2 rounded-lg bg-glow px-3 py-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-base">{title}</h2>
        <span className="flex gap-2">
          {onRemove && (
            <button
              type="button"
              className="p-1"
              aria-label={`Take out ${title.toLowerCase()}`}
              title="Take out (Delete)"
              onClick={onRemove}
            >
              <Trash2 size={17} aria-hidden />
            </button>
          )}
          <button type="button" className="text-sm underline" onClick={() => onChoose(undefined)}>
            done
          </button>
        </span>
      </div>
      {children}
    </section>
  );
}

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

function BoardFields({ desk, board, onChoose }: PartFieldsProps & { board: Board }) {
  const { content } = desk.draft;
  const body = bodyWith(content, board.id);
  const groove = body?.grooves.find(({ id }) => id === board.groove);
  const lip = content.layers[0]?.id === body?.id ? content.floor.lip.mm : 0;
  const set = (patch: Partial<Board>, tag = '') =>
    desk.edit((now) => withPart(now, board.id, patch), tag && `${tag}-${board.id}`);
  if (!groove) return null;
  return (
    <Frame
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
    </Frame>
  );
}

const STATES: readonly (readonly [Entrance['state'], string])[] = [
  ['open', 'Open'],
  ['reduced', 'Reduced: all pass, few at a time'],
  ['workersOnly', 'Workers only'],
  ['vent', 'Vent: air only'],
  ['closed', 'Closed'],
];
const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];
const SHAPES: readonly Mark['shape'][] = ['disc', 'ring', 'rays', 'bars', 'cross', 'frame'];
const COLOURS: readonly Mark['colour'][] = ['yellow', 'blue', 'white', 'black'];

function EntranceFields({ desk, entrance, onChoose }: PartFieldsProps & { entrance: Entrance }) {
  const { content } = desk.draft;
  const { id, mark } = entrance;
  const set = (patch: Partial<Entrance>, tag = '') =>
    desk.edit((now) => withPart(now, id, patch), tag && `${tag}-${id}`);
  const others =
    bodyWith(content, id)?.entrances.filter(
      (other) =>
        other.id !== id && (other.side !== entrance.side || Math.abs(other.along.mm - entrance.along.mm) > 1),
    ) ?? [];
  return (
    <Frame
      title={`Entrance at the ${entrance.side}`}
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, id))}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="Side"
          value={entrance.side}
          onChange={({ target }) => set({ side: target.value as Side })}
        >
          {SIDES.map((side) => (
            <option key={side}>{side}</option>
          ))}
        </SelectField>
        <SelectField
          label="State"
          value={entrance.state}
          onChange={({ target }) => set({ state: target.value as Entrance['state'] })}
        >
          {STATES.map(([state, label]) => (
            <option key={state} value={state}>
              {label}
            </option>
          ))}
        </SelectField>
        <LengthField
          label="Along the wall"
          takes="zero"
          value={entrance.along}
          onChange={(along) => set({ along }, 'along')}
        />
        <LengthField
          label="Above the edge"
          takes="signed"
          value={entrance.height}
          onChange={(height) => set({ height }, 'height')}
        />
        <LengthField
          label="Width"
          value={entrance.width}
          onChange={(width) =>
            set({ width, ...(entrance.shape === 'round' ? { tall: width } : {}) }, 'width')
          }
        />
        <LengthField
          label="Height"
          value={entrance.tall}
          onChange={(tall) => set({ tall, ...(entrance.shape === 'round' ? { width: tall } : {}) }, 'tall')}
        />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={entrance.shape === 'round'}
          onChange={({ target }) =>
            set({
              shape: target.checked ? 'round' : 'slot',
              ...(target.checked ? { tall: entrance.width } : {}),
            })
          }
        />
        A round hole
      </label>
      <fieldset className="mt-1">
        <legend className="text-sm text-soft">Mark, that bees tell it by</legend>
        <div className="flex flex-wrap items-center gap-2">
          {mark ? <MarkIcon mark={mark} size={26} /> : <span className="text-soft">none</span>}
          {mark && (
            <>
              <select
                aria-label="Shape of the mark"
                className="field min-h-8 w-auto"
                value={mark.shape}
                onChange={({ target }) => set({ mark: { ...mark, shape: target.value as Mark['shape'] } })}
              >
                {SHAPES.map((shape) => (
                  <option key={shape}>{shape}</option>
                ))}
              </select>
              <select
                aria-label="Colour of the mark"
                className="field min-h-8 w-auto"
                value={mark.colour}
                onChange={({ target }) => set({ mark: { ...mark, colour: target.value as Mark['colour'] } })}
              >
                {COLOURS.map((colour) => (
                  <option key={colour}>{colour}</option>
                ))}
              </select>
            </>
          )}
          <button
            type="button"
            className="button min-h-8 px-2 py-0.5 text-sm"
            onClick={() => set({ mark: markUnlike(others.map((other) => other.mark)) })}
          >
            Propose one
          </button>
        </div>
      </fieldset>
    </Frame>
  );
}

function VentFields({ desk, vent, onChoose }: PartFieldsProps & { vent: Vent }) {
  const set = (patch: Partial<Vent>, tag: string) =>
    desk.edit((now) => withPart(now, vent.id, patch), `${tag}-${vent.id}`);
  return (
    <Frame
      title={`Vent at the ${vent.side}`}
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, vent.id))}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="Along the wall"
          takes="zero"
          value={vent.along}
          onChange={(along) => set({ along }, 'along')}
        />
        <LengthField
          label="Above the edge"
          takes="signed"
          value={vent.height}
          onChange={(height) => set({ height }, 'height')}
        />
        <LengthField label="Width" value={vent.width} onChange={(width) => set({ width }, 'width')} />
        <LengthField label="Height" value={vent.tall} onChange={(tall) => set({ tall }, 'tall')} />
        <LengthField
          label="Mesh"
          value={{ mm: vent.mesh }}
          onChange={({ mm }) => set({ mesh: mm }, 'mesh')}
        />
      </div>
    </Frame>
  );
}

const CLOSERS: readonly (readonly [Hole['closedBy'], string])[] = [
  ['nothing', 'Nothing: open above'],
  ['jar', 'An inverted jar'],
  ['mesh', 'Mesh'],
  ['excluder', 'An excluder'],
  ['plug', 'A plug'],
];

function HoleFields({ desk, hole, onChoose }: PartFieldsProps & { hole: Hole }) {
  const set = (patch: Partial<Hole>, tag = '') =>
    desk.edit((now) => withPart(now, hole.id, patch), tag && `${tag}-${hole.id}`);
  return (
    <Frame
      title="Hole in the cover"
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, hole.id))}
    >
      <SelectField
        label="Closed by"
        value={hole.closedBy}
        onChange={({ target }) => set({ closedBy: target.value as Hole['closedBy'] })}
      >
        {CLOSERS.map(([closer, label]) => (
          <option key={closer} value={closer}>
            {label}
          </option>
        ))}
      </SelectField>
      {hole.closedBy === 'jar' && (
        <p className="text-sm text-soft">Shade the jar: in full sun syrup spoils, expands and drips.</p>
      )}
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="From the left wall"
          takes="signed"
          value={hole.x}
          onChange={(x) => set({ x }, 'x')}
        />
        <LengthField
          label="From the front wall"
          takes="signed"
          value={hole.y}
          onChange={(y) => set({ y }, 'y')}
        />
        <LengthField label="Width" value={hole.width} onChange={(width) => set({ width }, 'width')} />
        <LengthField label="Length" value={hole.length} onChange={(length) => set({ length }, 'length')} />
      </div>
    </Frame>
  );
}

const HOLDS: readonly (readonly [Slot['holds'], string])[] = [
  ['comb', 'A comb'],
  ['feeder', 'A frame feeder'],
  ['grafts', 'The graft bar'],
  ['bank', 'A bank frame, in the room of two'],
  ['display', 'A frame to show'],
];

function SlotFields({ desk, slot, onChoose }: PartFieldsProps & { slot: Slot }) {
  return (
    <Frame
      title="Frame’s place"
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, slot.id))}
    >
      <SelectField
        label="Holds"
        value={slot.holds}
        onChange={({ target }) =>
          desk.edit((now) => withPart(now, slot.id, { holds: target.value as Slot['holds'] }))
        }
      >
        {HOLDS.map(([holds, label]) => (
          <option key={holds} value={holds}>
            {label}
          </option>
        ))}
      </SelectField>
    </Frame>
  );
}

const SHEETS: readonly (readonly [Sheet['what'], string])[] = [
  ['board', 'Thin board'],
  ['cloth', 'Cloth or feed-sack'],
  ['foil', 'Foil-bubble'],
  ['slats', 'Slatted mat'],
  ['mesh', 'Mesh'],
  ['excluder', 'Excluder'],
  ['screen', 'Screen'],
  ['tray', 'Tray'],
];
const SLOT_OF: Readonly<Partial<Record<Sheet['what'], number>>> = { excluder: 4.2, screen: 2.5, mesh: 2.5 };

function SheetFields({ desk, sheet, onChoose, model }: PartFieldsProps & { sheet: Sheet }) {
  const set = (patch: Partial<Sheet>, tag = '') =>
    desk.edit((now) => withPart(now, sheet.id, patch), tag && `${tag}-${sheet.id}`);
  const below = model.stack.bodies[0];
  const addHole = () =>
    desk.edit((now) => {
      const id = `hole-${now.lastPart + 1}`;
      const hole: Hole = {
        id,
        x: { mm: (below?.body.insideWidth.mm ?? 300) / 2 },
        y: { mm: (below?.body.insideLength.mm ?? 300) / 2 },
        width: { mm: 60 },
        length: { mm: 60 },
        closedBy: 'jar',
      };
      return withPart({ ...now, lastPart: now.lastPart + 1 }, sheet.id, { holes: [...sheet.holes, hole] });
    });
  return (
    <Frame title="Sheet" onChoose={onChoose} onRemove={() => desk.edit((now) => withoutPart(now, sheet.id))}>
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="What it is"
          value={sheet.what}
          onChange={({ target }) =>
            set({ what: target.value as Sheet['what'], slot: SLOT_OF[target.value as Sheet['what']] ?? null })
          }
        >
          {SHEETS.map(([what, label]) => (
            <option key={what} value={what}>
              {label}
            </option>
          ))}
        </SelectField>
        <LengthField
          label="Thickness"
          value={sheet.thickness}
          onChange={(thickness) => set({ thickness }, 'thick')}
        />
        {sheet.slot !== null && (
          <LengthField
            label="Slot"
            value={{ mm: sheet.slot }}
            onChange={({ mm }) => set({ slot: mm }, 'slot')}
          />
        )}
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={sheet.each}
          onChange={({ target }) => set({ each: target.checked })}
        />
        One for each compartment
      </label>
      <ClaimField
        computed={resistanceOf([sheetLayer(sheet)])}
        claimed={sheet.claimedR}
        onChange={(claimedR) => desk.edit((now) => withClaim(now, sheet, claimedR), `claim-${sheet.id}`)}
      />
      <ul className="mt-1">
        {sheet.holes.map((hole, index) => (
          <li key={hole.id}>
            <button type="button" className="underline" onClick={() => onChoose(hole.id)}>
              Hole {index + 1}: {hole.closedBy}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="button mt-1 min-h-8 px-2 py-0.5" onClick={addHole}>
        Add a hole for a jar
      </button>
    </Frame>
  );
}

/** A claim that is taken back leaves no field behind. */
function withClaim(design: DesignContent, sheet: Sheet, claimedR: number | undefined): DesignContent {
  const { claimedR: _, ...rest } = sheet;
  const next: Sheet = claimedR === undefined ? rest : { ...rest, claimedR };
  return { ...design, layers: design.layers.map((layer) => (layer.id === sheet.id ? next : layer)) };
}

const USES: readonly (readonly [Bay['use'], string])[] = [
  ['mating', 'Mates a queen'],
  ['colony', 'A colony with its queen'],
  ['held', 'A queen held inside'],
  ['grafts', 'Grafts and cells'],
  ['bees', 'Bees without a queen'],
  ['bank', 'Caged queens'],
  ['stores', 'Stores'],
  ['nothing', 'Nobody'],
];

function SpaceFields({
  desk,
  model,
  space,
  onChoose,
}: PartFieldsProps & { space: BoxModel['spaces'][number] }) {
  const units = useUnits();
  const fit = model.compartments.flatMap(({ fits }) => fits).find((each) => each.space === space.id);
  const bay = space.bays[0];
  const body: Body | undefined = space.body?.body;
  if (!bay || !body) return null;
  const bad = fit?.verdict === 'impossible' || fit?.verdict === 'jams';
  const column = columnsOf(body).find(({ bays }) => bays.some(({ id }) => id === bay.id));
  return (
    <Frame title={space.name} onChoose={onChoose}>
      {fit && space.kind === 'frames' && (
        <p className={bad ? 'text-danger' : ''}>
          <strong>{fitWord[fit.verdict]}.</strong> {fitSentence(fit, units)}
        </p>
      )}
      <div className="my-1">
        <Stepper
          label={`frames, ${space.name}`}
          unit="frames"
          count={bay.frames.length}
          least={0}
          most={30}
          onChange={(count) => desk.edit((now) => withFramesIn(now, bay.id, count))}
        />
      </div>
      <SelectField
        label="What lives here"
        value={bay.use}
        onChange={({ target }) =>
          desk.edit((now) =>
            space.bays.reduce(
              (changed, { id }) => withPart(changed, id, { use: target.value as Bay['use'] }),
              now,
            ),
          )
        }
      >
        {USES.map(([use, label]) => (
          <option key={use} value={use}>
            {label}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Frames"
        value={bay.format?.id ?? ''}
        onChange={({ target }) => {
          const standard = standardFormats.find(({ id }) => id === target.value);
          const format = standard ? frameFormat(standard) : null;
          desk.edit((now) => space.bays.reduce((changed, { id }) => withPart(changed, id, { format }), now));
        }}
      >
        <option value="">{body.format.name}, the body’s own</option>
        {standardFormats
          .filter(({ id }) => id !== body.format.id)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </SelectField>
      <GapList model={model} space={space.id} />
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="button min-h-8 px-2 py-0.5"
          onClick={() => desk.edit((now) => withEntranceAdded(now, body.id, bay.id))}
        >
          Drill an entrance
        </button>
        <button
          type="button"
          className="button min-h-8 px-2 py-0.5"
          onClick={() => desk.edit((now) => withVentAdded(now, body.id, bay.id, 'back'))}
        >
          Add a vent
        </button>
        {column && (
          <button
            type="button"
            className="button min-h-8 px-2 py-0.5"
            onClick={() => desk.edit((now) => withDummy(now, body.id, space))}
          >
            Add a dummy
          </button>
        )}
      </div>
    </Frame>
  );
}
