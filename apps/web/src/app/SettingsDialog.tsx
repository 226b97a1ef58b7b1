import { useSuspenseQuery } from '@tanstack/react-query';
import type { Settings } from '@yellow-cell/contract';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Modal } from '../parts/Modal.tsx';
import { Notice } from '../parts/Notice.tsx';
import { Archive } from './Archive.tsx';
import { ApiError, sendJson } from './api.ts';
import { MeasureFields } from './MeasureFields.tsx';
import { queries, sessionQuery } from './queries.ts';
import { setTheme, type Theme, themes, useTheme } from './theme.ts';
import { useSay } from './units.ts';

export function SettingsDialog({ onClose }: { onClose: () => void }) {
  const say = useSay();
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const theme = useTheme();
  const [person, setPerson] = useState(settings.person);
  const [measures, setMeasures] = useState(settings.measures);
  const [version, setVersion] = useState(settings.version);
  const [error, setError] = useState<ApiError>();

  const save = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await sendJson<Settings>('PUT', '/settings', { ...settings, person, measures, version });
      await queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
      onClose();
    } catch (failed) {
      if (!(failed instanceof ApiError)) throw failed;
      setError(failed);
      const current = failed.details?.current as Settings | undefined;
      if (failed.status === 409 && current) setVersion(current.version);
    }
  };

  return (
    <Modal title="Settings" onClose={onClose}>
      <p className="mb-2 sm:hidden">
        <Link className="inline-flex min-h-12 items-center underline" to="/guide" onClick={onClose}>
          The guide: words, boxes, calendar, playbooks
        </Link>
      </p>
      <form onSubmit={save}>
        <TextField
          label="Your name, as entries bear it"
          value={person}
          maxLength={60}
          required
          onChange={({ target }) => setPerson(target.value)}
        />
        <MeasureFields value={measures} onChange={setMeasures} />
        <SelectField
          label="Look, on this device"
          value={theme}
          onChange={({ target }) => setTheme(target.value as Theme)}
        >
          {themes.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </SelectField>
        <p className="mb-2">
          <Link className="underline" to="/figures" onClick={onClose}>
            The figures that each yard reckons with
          </Link>{' '}
          ·{' '}
          <Link className="underline" to="/workshop" onClick={onClose}>
            Workshop: stock, prices, register
          </Link>
        </p>
        <Archive />
        <p className="mb-2 text-sm">
          <a className="underline" href="/third-party.txt" target="_blank" rel="noreferrer">
            Notices of the packages that this program is built with
          </a>
        </p>
        {error && (
          <Notice kind="danger">
            <p role="alert">{error.message}</p>
            {error.details?.changed?.map((sentence) => (
              <p key={sentence}>{say(sentence)}</p>
            ))}
            {error.status === 409 && <p>Save again to put yours in its place.</p>}
          </Notice>
        )}
        <div className="mt-4 flex gap-2">
          <button type="submit" className="button button-main">
            Save
          </button>
          <button type="button" className="button" onClick={onClose}>
            Cancel
          </button>
        </div>
      </form>
    </Modal>
  );
}
