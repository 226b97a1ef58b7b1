import { expect, type Locator, type Page, test } from '@playwright/test';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** A tap on what is seen; counted. */
let taps = 0;
async function tap(target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  const size = await target.boundingBox();
  expect(size?.height ?? 0, 'a target for a thumb').toBeGreaterThanOrEqual(48);
  taps += 1;
  await target.tap();
}
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) });
const main = (page: Page) => page.getByRole('main').getByRole('button').last();

/** One act for all rooms that it fits, but for those left out. */
async function forAll(
  page: Page,
  act: string,
  rooms: number,
  without: readonly string[] = [],
): Promise<void> {
  await page.getByLabel('What is entered').first().selectOption(act);
  taps += 2;
  await page.getByLabel('Only').fill('H1-H40');
  await tap(button(page, `All ${rooms}`));
  for (const room of without)
    await tap(page.getByRole('listitem').filter({ hasText: room }).locator('label'));
  const why = page.getByLabel(/^Why it is done all the same/);
  if (await why.isVisible()) await why.fill('All in one day, to try it.');
  const chosen = `${rooms - without.length} ${act === 'taken' ? 'queens' : 'rooms'}`;
  await expect(main(page)).toContainText(chosen);
  await tap(main(page));
  await expect(page.getByText(new RegExp(`: ${chosen}$`)).first()).toBeVisible();
}

test('a day of forty three-way boxes: built, placed, stocked, cells, eggs, marked and sold, in few taps @long', async ({
  page,
  request,
}) => {
  taps = 0;
  await page.goto('/yard?build=');
  const option = page
    .getByLabel('Design', { exact: true })
    .locator('option', { hasText: 'Three-way, ten-frame body' });
  await page.getByLabel('Design', { exact: true }).selectOption((await option.getAttribute('value')) ?? '');
  await page.getByLabel('How many').fill('40');
  await page.getByLabel('First label').fill('H1');
  await expect(page.getByText('40 boxes, H1 to H40')).toBeVisible();
  await tap(button(page, '40 built, and on their stands'));
  await expect(page.getByText('40 boxes, H1 to H40, built')).toBeVisible();
  await tap(button(page, 'More of this yard'));
  await tap(page.getByRole('link', { name: 'Many at once' }));
  await expect(page.getByRole('heading', { name: 'Many at once' })).toBeVisible();

  await forAll(page, 'stock', 120);
  await forAll(page, 'cell', 120, ['H7 West', 'H8 East']);
  await forAll(page, 'opened', 118, ['H9 West']);
  await forAll(page, 'eggs', 118, ['H9 West']);
  await page.getByLabel('What is entered').first().selectOption('pattern');
  await page.getByLabel('Pattern of those chosen').fill('85');
  await forAll(page, 'pattern', 117);
  await page.getByLabel('What is entered').first().selectOption('mark');
  await page.getByLabel('First number').fill('101');
  await forAll(page, 'mark', 117);
  await forAll(page, 'taken', 117);
  expect(taps).toBeLessThan(60);

  const statuses = async () => {
    const { boxes } = await (await request.get('/api/boxes?find=H40')).json();
    return boxes[0].compartments.map(({ status }: { status: string }) => status).join(' ');
  };
  await expect.poll(statuses, { timeout: 60_000 }).toBe('stocked stocked stocked');
  const { boxes } = await (await request.get('/api/boxes?find=H40')).json();
  const { events } = await (await request.get(`/api/boxes/${boxes[0].id}/log`)).json();
  const of = (kind: string) => events.filter((each: { kind: string }) => each.kind === kind);
  expect(of('queenTaken')).toHaveLength(3);
  const numbers = of('queenMarked').map(({ payload }: { payload: { number: string } }) =>
    Number(payload.number),
  );
  expect(new Set(numbers).size).toBe(3);
  for (const number of numbers) expect(number).toBeGreaterThanOrEqual(101);
  for (const number of numbers) expect(number).toBeLessThanOrEqual(217);
  // One undo takes all of it back.
  await tap(button(page, 'Undo'));
  await expect.poll(statuses, { timeout: 60_000 }).toBe('proven proven proven');
  // Past the first page of the yard, what is entered at a box stays on the screen once it is stored.
  await page.goto('/yard');
  await page.getByLabel(/^Find a box/).fill('H40');
  await tap(page.getByRole('option', { name: /^H40\b/ }).first());
  const room = page.getByRole('complementary', { name: 'Slip' });
  await room.getByLabel('Note').fill('Leans to the east.');
  await room.getByRole('button', { name: 'Add', exact: true }).tap();
  const kept = async () =>
    (await (await request.get(`/api/boxes/${boxes[0].id}/log`)).json()).events.some(
      ({ note }: { note?: string }) => note === 'Leans to the east.',
    );
  await expect.poll(kept).toBe(true);
  await page.waitForTimeout(5_000);
  await expect(room.getByText('Leans to the east.')).toBeVisible();
});

/** A thumb across the picture of the box, from one x to another. */
async function swipe(page: Page, from: number, to: number): Promise<void> {
  const touch = await page.context().newCDPSession(page);
  const at = (type: 'touchStart' | 'touchMove' | 'touchEnd', x?: number) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: x === undefined ? [] : [{ x, y: 250 }] });
  await at('touchStart', from);
  for (let part = 1; part <= 5; part++) await at('touchMove', from + ((to - from) * part) / 5);
  await at('touchEnd');
}

test('a walk goes from box to box, and says at its end what was done and what is left', async ({ page }) => {
  await page.goto('/yard?view=today');
  await page.getByRole('link', { name: 'Walk' }).tap();
  const place = page.getByText(/^box \d+ of \d+$/);
  await expect(place).toHaveText(/^box 1 of/);
  const boxes = Number(/of (\d+)$/.exec((await place.textContent()) ?? '')?.[1]);
  // Where one stands outlasts a reload.
  await page.reload();
  await expect(place).toHaveText(`box 1 of ${boxes}`);
  for (let at = 1; at <= boxes; at++) {
    await expect(place).toHaveText(`box ${at} of ${boxes}`);
    await page.getByRole('button', { name: /^(Nothing to do here|On): / }).tap();
  }
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`${boxes} boxes walked past`);
  await expect(page.getByRole('heading', { name: 'Left' })).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).tap();
  await expect(place).toHaveText(`box ${boxes} of ${boxes}`);
  // A thumb pulls the box before back into sight.
  await swipe(page, 60, 330);
  await expect(place).toHaveText(`box ${boxes - 1} of ${boxes}`);
  await swipe(page, 330, 60);
  await expect(place).toHaveText(`box ${boxes} of ${boxes}`);
});
