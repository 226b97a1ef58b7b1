// @vitest-environment jsdom
import { cleanup, render, waitFor } from '@testing-library/react';
import { useRef } from 'react';
import { afterEach, expect, it } from 'vitest';
import { useHeadingAsTitle, usePressingTitle } from './title.ts';

function Page({ name, late }: { name: string | undefined; late?: string }) {
  const place = useRef<HTMLDivElement>(null);
  useHeadingAsTitle(place);
  usePressingTitle(late);
  return <div ref={place}>{name && <h1>{name}</h1>}</div>;
}
afterEach(cleanup);
const isCalled = (title: string) => waitFor(() => expect(document.title).toBe(title));

it('a page is called what its screen is called, and what cannot wait stands before it while it lasts', async () => {
  const { rerender } = render(<Page name={undefined} />);
  await isCalled('Yellow Cell');
  rerender(<Page name="Rounds" />);
  await isCalled('Rounds · Yellow Cell');
  rerender(<Page name="Winter in Quarry" late="late by 1 h · Close it" />);
  await isCalled('late by 1 h · Close it');
  rerender(<Page name="Winter in Meadow" />);
  await isCalled('Winter in Meadow · Yellow Cell');
});
