// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { built, id, serverWith, show } from './onScreen.test.kit.tsx';
import type { YardView } from './useYard.ts';
import { YardList } from './YardList.tsx';

/** The same yard with as many of its box, by other names. */
function many(view: YardView, count: number): YardView {
  const [first] = view.boxes;
  if (!first) return view;
  const boxes = Array.from({ length: count }, (_, at) => ({
    ...first,
    box: { ...first.box, id: id(5_000 + at), label: `B${at + 1}` },
  }));
  return { ...view, boxes };
}
const rows = () => screen.getAllByRole('row').length - 1;

afterEach(cleanup);

describe('the list of a large yard', () => {
  it('draws two hundred rooms at once, finds any, and shows more when they are asked for', async () => {
    show(serverWith(built), (view) => (view.boxes.length > 0 ? <YardList view={many(view, 90)} /> : null));
    const more = await screen.findByRole('button', { name: 'Show more of 270 compartments' });
    expect(rows()).toBe(200);
    fireEvent.change(screen.getByLabelText('Show only'), { target: { value: 'B90' } });
    expect(rows()).toBe(3);
    expect(screen.queryByRole('button', { name: /Show more/ })).toBeNull();
    fireEvent.change(screen.getByLabelText('Show only'), { target: { value: '' } });
    fireEvent.click(await screen.findByRole('button', { name: more.textContent ?? '' }));
    expect(rows()).toBe(270);
    expect(screen.queryByRole('button', { name: /Show more/ })).toBeNull();
  });
});
