import type { Yard } from '@yellow-cell/contract';
import { readCoordinate, showCoordinate } from '@yellow-cell/core';
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
        latitude_deg: degrees(latitude, 'latitude'),
        longitude_deg: degrees(longitude, 'longitude'),
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
          label="Latitude"
          required
          hint={readAs(latitude, 'latitude')}
          value={latitude}
          problem={problemOf('latitude_deg')}
          onChange={({ target }) => setLatitude(target.value)}
        />
        <TextField
          label="Longitude"
          required
          hint={readAs(longitude, 'longitude')}
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

/** Text that is no coordinate goes out as it is, so that the answer can say so beside the field. */
function degrees(typed: string, axis: 'latitude' | 'longitude'): number | string {
  const read = readCoordinate(typed, axis);
  return Number.isNaN(read) ? typed : read;
}
function readAs(typed: string, axis: 'latitude' | 'longitude'): string {
  const read = readCoordinate(typed, axis);
  return Number.isNaN(read) ? EXAMPLES[axis] : `Read as ${showCoordinate(read, axis)}.`;
}
const EXAMPLES = {
  latitude: 'As on a map: 48.1, 41.3 S or 41° 18′ S.',
  longitude: 'As on a map: 13.6, 174.8 E or 13° 36′ W.',
};
