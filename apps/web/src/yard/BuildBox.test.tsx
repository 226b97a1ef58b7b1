// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { BuildBox } from './BuildBox.tsx';
import { serverWith, show } from './onScreen.test.kit.tsx';

afterEach(cleanup);

it.each([
  [48, 180, 'south'],
  [-41.3, 0, 'north'],
])(
  'proposes at %s° that a front looks to %s°, where the noon sun stands, and logs it so',
  async (latitude_deg, bearing_deg, point) => {
    const server = serverWith([]);
    show(server, (view) => <BuildBox view={{ ...view, yard: { ...view.yard, latitude_deg } }} design="" />);
    const front = (await screen.findByLabelText('Front looks to the')) as HTMLSelectElement;
    expect(front.value).toBe(point);
    fireEvent.change(screen.getByLabelText(/^Label/), { target: { value: 'B1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Built, and on its stand' }));
    fireEvent.click(screen.getByRole('button', { name: 'Built, and on its stand' }));
    await waitFor(() => expect(server.posted).toHaveLength(2));
    expect(server.posted[1]).toMatchObject({ kind: 'boxPlaced', payload: { bearing_deg } });
  },
);
