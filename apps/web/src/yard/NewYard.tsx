import type { Yard } from '@yellow-cell/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError, sendJson } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { queries, yardsQuery } from '../app/queries.ts';
import { TextField } from '../parts/Field.tsx';
import { Form } from './Form.tsx';

/** A yard: its name, and where it lies. */
export function NewYard({ onDone }: { onDone?: () => void }) {
  const [name, setName] = useState('');
  const [latitude, setLatitude] = useState('');
  const [longitude, setLongitude] = useState('');
  const [zone, setZone] = useState(Intl.DateTimeFormat().resolvedOptions().timeZone);
  const [id] = useState(newId);
  const [error, setError] = useState<ApiError>();
  const navigate = useNavigate();
  const save = async () => {
    try {
      const fields = {
        id,
        name: name.trim(),
        latitude_deg: degrees(latitude),
        longitude_deg: degrees(longitude),
        zone,
      };
      queries.setQueryData(yardsQuery.queryKey, await sendJson<Yard[]>('POST', '/yards', fields));
      onDone?.();
      navigate(`/yard/${id}`);
    } catch (failed) {
      if (!(failed instanceof ApiError)) throw failed;
      setError(failed);
    }
  };
  const problemOf = (field: string) => error?.details?.problems?.find(({ path }) => path === field)?.sentence;
  return (
    <>
      <h2 className="mb-2 text-lg">A new yard</h2>
      <Form save="Add the yard" onSave={save} onCancel={onDone}>
        <TextField
          label="Name"
          required
          maxLength={80}
          value={name}
          problem={problemOf('name')}
          onChange={({ target }) => setName(target.value)}
        />
        <TextField
          label="Latitude (° north; south with −)"
          required
          inputMode="decimal"
          placeholder="48.1"
          value={latitude}
          problem={problemOf('latitude_deg')}
          onChange={({ target }) => setLatitude(target.value)}
        />
        <TextField
          label="Longitude (° east; west with −)"
          required
          inputMode="decimal"
          placeholder="13.6"
          value={longitude}
          problem={problemOf('longitude_deg')}
          onChange={({ target }) => setLongitude(target.value)}
        />
        <TextField
          label="Time zone"
          required
          value={zone}
          problem={problemOf('zone')}
          onChange={({ target }) => setZone(target.value)}
        />
        {error && !error.details?.problems && (
          <p role="alert" className="text-danger">
            {error.message}
          </p>
        )}
      </Form>
    </>
  );
}

/** Text that is no number goes out as it is, so that the answer can say so beside the field. */
function degrees(typed: string): number | string {
  const plain = typed.trim().replace(',', '.').replace('−', '-');
  return plain === '' || Number.isNaN(Number(plain)) ? typed : Number(plain);
}
