import { use, useEffect } from 'react';
import type { tellPast, tellUnsent } from './tellYard.ts';

interface Teller {
  tellPast: typeof tellPast;
  tellUnsent: typeof tellUnsent;
}

/** Until then the first screen has its net for itself. */
const LATER_MS = 1_500;
let loaded: Teller | undefined;
let loading: Promise<Teller> | undefined;

function load(): Promise<Teller> {
  loading ??= import('./tellYard.ts').then(
    ({ tellPast, tellUnsent }) => {
      loaded = { tellPast, tellUnsent };
      return loaded;
    },
    (error) => {
      loading = undefined;
      throw error;
    },
  );
  return loading;
}

/** What tells stories in the browser: wanted where a day is past or something is not sent yet, and loaded a moment later for all that will be entered. */
export function useTeller(wanted: boolean): Teller | undefined {
  useEffect(() => {
    const timer = setTimeout(() => void load().catch(() => undefined), LATER_MS);
    return () => clearTimeout(timer);
  }, []);
  return wanted ? (loaded ?? use(load())) : undefined;
}
