import { useState } from 'react';
import { keep, readKept } from '../app/kept.ts';

/** Text being typed, kept on this device through a reload until it is sent. */
export function useKeptText(name: string): [string, (text: string) => void] {
  const key = `yc-typed-${name}`;
  const [text, setText] = useState(() => readKept<string>(key) ?? '');
  return [
    text,
    (next) => {
      setText(next);
      keep(key, next === '' ? undefined : next);
    },
  ];
}
