import type { AutumnLine } from '@yellow-cell/core';
import { useSearchParams } from 'react-router';

type Named = Pick<AutumnLine, 'box' | 'room'>;
export interface WinterAddress {
  /** The yard's winter, or one colony of it. */
  winter: (yard: string, line?: Named) => string;
  sheet: (yard: string) => string;
  /** The colony in its yard. */
  room: (yard: string, line: Named) => string;
}

/** Where Winter leads to, on the day that is shown. */
export function useWinterAddress(): WinterAddress {
  const [params] = useSearchParams();
  const day = params.get('on');
  const search = (fields: Record<string, string>): string =>
    new URLSearchParams({ ...fields, ...(day ? { on: day } : {}) }).toString();
  const of = ({ box, room }: Named) => ({ box: box.box.id, bay: room.bays[0] ?? '' });
  return {
    winter: (yard, line) => `/winter?${search({ yard, ...(line ? of(line) : {}) })}`,
    sheet: (yard) => `/winter/sheet?${search({ yard })}`,
    room: (yard, line) => `/yard/${yard}?${search(of(line))}`,
  };
}
