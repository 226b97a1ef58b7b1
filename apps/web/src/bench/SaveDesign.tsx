import type { Design, DesignFile } from '@yellow-cell/contract';
import { familyName, fileName, showDay } from '@yellow-cell/core';
import { type FormEvent, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { ApiError, sendJson } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { keep } from '../app/kept.ts';
import { designQuery, queries } from '../app/queries.ts';
import { saveFile } from '../app/saveFile.ts';
import { useSay } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';
import { useToast } from '../parts/Toast.tsx';
import { type Draft, type DraftDesk, draftOf } from './useDraft.ts';

/** Its name, and saving it: at hand wherever one is in its figures. Saving makes a new version, with a note of why; saved versions never change. */
export function SaveDesign({
  desk,
  saved,
  possible,
}: {
  desk: DraftDesk;
  saved: Design | undefined;
  possible: boolean;
}) {
  const say = useSay();
  const [note, setNote] = useState('');
  const [error, setError] = useState<ApiError>();
  const [ids] = useState(() => ({ design: newId(), version: newId() }));
  const [version, setVersion] = useState(ids.version);
  const navigate = useNavigate();
  const { search } = useLocation();
  const toast = useToast();
  const { draft } = desk;
  const named = draft.name.trim() !== '';

  const save = async (event: FormEvent) => {
    event.preventDefault();
    setError(undefined);
    const next = { id: version, content: draft.content, note };
    try {
      const design = saved
        ? await sendJson<Design>('POST', `/designs/${saved.id}/versions`, {
            basedOn: draft.basedOn,
            name: draft.name,
            version: next,
          })
        : await sendJson<Design>('POST', '/designs', { id: ids.design, name: draft.name, version: next });
      desk.reset(draftOf(design));
      setNote('');
      setVersion(newId());
      queries.setQueryData(designQuery(design.id).queryKey, design);
      await queries.invalidateQueries({ queryKey: ['designs'] });
      toast({ text: `Saved “${design.name}”, version ${design.versions.length}.` });
      if (!saved) navigate(`/bench/${design.id}${search}`);
    } catch (failed) {
      if (!(failed instanceof ApiError)) throw failed;
      setError(failed);
    }
  };

  return (
    <form
      onSubmit={save}
      className="z-10 -mx-5 -mt-4 border-b border-hairline bg-slip px-5 pt-4 pb-2 lg:sticky lg:-top-4"
    >
      <TextField
        label={`Name of the design · ${familyName(draft.content.family).toLowerCase()}`}
        value={draft.name}
        maxLength={80}
        placeholder="Three-way, ten-frame body"
        onChange={({ target }) => desk.change({ name: target.value })}
      />
      {saved && desk.changed && (
        <TextField
          label="What changed, and why"
          value={note}
          maxLength={500}
          placeholder="Thinner dividers"
          onChange={({ target }) => setNote(target.value)}
        />
      )}
      {error && (
        <Notice kind="danger">
          <p role="alert">{error.message}</p>
          {error.details?.changed?.map((sentence) => (
            <p key={sentence}>{say(sentence)}</p>
          ))}
          {error.passing && <p>Your drawing is kept on this device.</p>}
          {error.status === 409 && (
            <Conflict desk={desk} error={error} saved={saved} onSettled={() => setError(undefined)} />
          )}
        </Notice>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <button
          type="submit"
          className="button button-main"
          disabled={!possible || !named || (saved !== undefined && !desk.changed)}
        >
          {saved ? `Save as version ${(draft.basedOn ?? 0) + 1}` : 'Save the design'}
        </button>
        {desk.changed && (
          <button type="button" className="button font-normal" onClick={() => desk.reset()}>
            Throw changes away
          </button>
        )}
        {saved && !desk.changed && (
          <Link className="button" to={`/bench/${saved.id}/build`}>
            Build it
          </Link>
        )}
        {!named && <p className="text-sm text-soft">Give it a name to save it.</p>}
      </div>
    </form>
  );
}

/** What else is done with a design, and the versions that it had. */
export function DesignWays({ desk: { draft }, saved }: { desk: DraftDesk; saved: Design | undefined }) {
  const navigate = useNavigate();
  const { search } = useLocation();
  return (
    <section aria-label="What else" className="mt-4">
      <div className="flex flex-wrap gap-2">
        {saved && (
          <Link className="button" to={`/bench/${saved.id}/compare`}>
            Compare
          </Link>
        )}
        <button type="button" className="button" onClick={() => exportDesign(draft)}>
          Export
        </button>
        {saved && (
          <button
            type="button"
            className="button"
            onClick={() => {
              keep('yc-draft-new', { name: `${draft.name}, another`, content: draft.content });
              navigate(`/bench/new${search}`);
            }}
          >
            Draw another from it
          </button>
        )}
      </div>
      {saved && <Versions saved={saved} />}
    </section>
  );
}

/** The drawing as a design file, for another device or program. */
function exportDesign({ name, content }: Draft) {
  const file: DesignFile = { yellowCell: 'design', name: name || 'Design', content };
  saveFile({
    name: `${fileName(file.name)}.json`,
    mime: 'application/json',
    encoding: 'utf8',
    content: `${JSON.stringify(file, null, 2)}\n`,
  });
}

/** Two people drew at once: keep mine on top of theirs, or go on from theirs. */
function Conflict({
  desk,
  error,
  saved,
  onSettled,
}: {
  desk: DraftDesk;
  error: ApiError;
  saved: Design | undefined;
  onSettled: () => void;
}) {
  const current = error.details?.current as Design['versions'][number] | undefined;
  if (!saved || !current) return null;
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button
        type="button"
        className="button"
        onClick={() => {
          desk.change({ basedOn: current.number });
          onSettled();
        }}
      >
        Keep mine, as version {current.number + 1}
      </button>
      <button
        type="button"
        className="button"
        onClick={() => {
          desk.reset({ name: saved.name, content: current.content, basedOn: current.number });
          void queries.invalidateQueries({ queryKey: ['designs'] });
          onSettled();
        }}
      >
        Go on from theirs
      </button>
    </div>
  );
}

function Versions({ saved }: { saved: Design }) {
  const say = useSay();
  return (
    <>
      <h2 className="eyebrow">Versions</h2>
      <ol>
        {[...saved.versions].reverse().map(({ id, number, note, savedAt, savedBy }) => (
          <li key={id} className="row-line">
            <span>
              {number}. {note || 'No note'}
            </span>
            <span className="shrink-0 text-sm text-soft">
              {say(showDay(savedAt.slice(0, 10)))}, {savedBy}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
