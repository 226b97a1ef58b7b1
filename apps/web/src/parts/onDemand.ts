import { type ComponentType, lazy } from 'react';

/** What is drawn once its program has come. One that was fetched before it is drawn at once, and not a turn later as a lazy one is. */
export function onDemand<Props>(load: () => Promise<ComponentType<Props>>) {
  let come: { default: ComponentType<Props> } | undefined;
  const fetch = async () => {
    come ??= { default: await load() };
    return come;
  };
  // React takes any thenable, and what one answers at once is drawn at once.
  const atOnce = (done: (value: unknown) => void): void => done(come);
  // biome-ignore lint/suspicious/noThenProperty: it is one.
  const Drawn = lazy(() => (come ? ({ then: atOnce } as unknown as ReturnType<typeof fetch>) : fetch()));
  return Object.assign(Drawn, { fetch });
}
