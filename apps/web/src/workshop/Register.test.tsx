// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { Equipment, Workshop } from '@yellow-cell/contract';
import { usualWorkshop } from '@yellow-cell/core';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { built, serverWith, show } from '../yard/onScreen.test.kit.tsx';
import { Register } from './Register.tsx';

let kept: readonly Equipment[] = [];
function Shed() {
  const [workshop, setWorkshop] = useState<Workshop>(usualWorkshop);
  return (
    <Register
      workshop={workshop}
      onSave={async (change) => {
        const next = { ...workshop, ...change(workshop) };
        setWorkshop(next);
        kept = next.register;
        return true;
      }}
    />
  );
}
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const add = () => fireEvent.click(screen.getByRole('button', { name: 'Add' }));
afterEach(cleanup);

describe('the register', () => {
  it('keeps frames by format and comb, and an excluder by its slots, and says of one that it is none', async () => {
    show(serverWith(built), () => <Shed />);
    fill('name', 'Frames in the loft');
    fill('how many', '12');
    fill('comb', 'stores');
    add();
    await screen.findByText(/Langstroth deep, with stores/);
    fill('kind', 'excluder');
    fill('slots, mm', '4.7');
    fill('name', 'Old wire');
    fill('how many', '1');
    add();
    await screen.findByText(/Slots of 4.7 mm do not part a queen/);
    expect(kept.map(({ id: _, ...line }) => line)).toMatchObject([
      { kind: 'frame', name: 'Frames in the loft', count: 12, format: 'langstroth-deep', comb: 'stores' },
      { kind: 'excluder', name: 'Old wire', slot_mm: 4.7, format: 'langstroth-deep' },
    ]);
    expect(kept[1]).not.toHaveProperty('comb');

    fireEvent.click(screen.getByRole('button', { name: 'Take out Old wire' }));
    await waitFor(() => expect(screen.queryByText('Old wire')).toBeNull());
    expect(kept).toHaveLength(1);
  });

  it('adds nothing without a name or a number, nor an excluder without slots', async () => {
    kept = [];
    show(serverWith(built), () => <Shed />);
    const button = await screen.findByRole<HTMLButtonElement>('button', { name: 'Add' });
    expect(button.disabled).toBe(true);
    fill('name', 'Frames');
    fill('how many', '2.5');
    expect(button.disabled).toBe(true);
    fill('how many', '2');
    expect(button.disabled).toBe(false);
    fill('kind', 'excluder');
    fill('slots, mm', '');
    expect(button.disabled).toBe(true);
    expect(kept).toEqual([]);
  });
});
