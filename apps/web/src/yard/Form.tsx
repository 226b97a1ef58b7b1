import { attemptOf, inRoom } from '@yellow-cell/core';
import { type ReactNode, useRef } from 'react';
import type { Draft } from '../app/useLog.ts';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

/** What an action is about. */
export interface ActionProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
  title: string;
}

export interface FormProps extends ActionProps {
  /** Logs the entries, once nothing speaks against them or a reason was given. */
  send: (what: string, drafts: readonly Draft[]) => Promise<void>;
  onCancel: () => void;
}

/** The colony that an entry is about, and of one that lives in several rooms, the room. */
export const inColony = ({ boxView: { box }, compartment }: ActionProps) => inRoom(box, compartment);

/** The same with the attempt that is on its way there. */
export const ofColony = ({ boxView: { box }, compartment }: ActionProps) => ({
  ...inRoom(box, compartment),
  ...attemptOf(compartment),
});
/** In place of a form that has nothing to offer: why, and the way back. */
export function NoForm({ onCancel, children }: { onCancel: () => void; children: ReactNode }) {
  return (
    <div className="rounded-lg border border-hairline p-3">
      <p className="mb-2">{children}</p>
      <button type="button" className="button" onClick={onCancel}>
        Back
      </button>
    </div>
  );
}

/** The frame of every small form: fields, save, cancel. While what was saved is on its way, a second tap saves nothing. */
export function Form({
  save,
  onSave,
  onCancel,
  children,
}: {
  save: string;
  /** A promise ends once what was saved has been taken, or refused. */
  onSave: () => unknown;
  onCancel: (() => void) | undefined;
  children: ReactNode;
}) {
  const saving = useRef(false);
  return (
    <form
      className="rounded-lg border border-hairline p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (saving.current) return;
        const saved = onSave();
        if (!(saved instanceof Promise)) return;
        saving.current = true;
        void saved.finally(() => {
          saving.current = false;
        });
      }}
    >
      {children}
      <div className="mt-1 flex gap-2">
        <button type="submit" className="button button-main flex-1">
          {save}
        </button>
        {onCancel && (
          <button type="button" className="button" onClick={onCancel}>
            Cancel
          </button>
        )}
      </div>
    </form>
  );
}
