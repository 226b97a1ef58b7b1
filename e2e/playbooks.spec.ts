import { expect, type Page, test } from '@playwright/test';
import { buildBox, slip } from './yardKit.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) }).tap();
const card = (page: Page) => page.getByRole('article').first();
const next = (page: Page, title: string | RegExp) =>
  expect(page.getByRole('heading', { level: 2, name: title })).toBeVisible();

/** Begins a playbook in a room of a box of the demo’s first yard. */
async function begin(page: Page, label: string, room: string, title: string): Promise<void> {
  await page.goto('/yard');
  await page.getByLabel(/^Find a box/).fill(label);
  await page
    .getByRole('option', { name: new RegExp(`^${label}\\b`) })
    .first()
    .tap();
  await slip(page)
    .getByRole('button', { name: new RegExp(`^${room} `) })
    .first()
    .tap();
  const steps = slip(page).getByRole('region', { name: 'Step by step' });
  const button = steps.getByRole('button', { name: `${title}…`, exact: true });
  await expect(steps.getByRole('button').first()).toBeVisible();
  if ((await button.count()) === 0) await steps.getByRole('button', { name: /^(Others|Begin one)$/ }).tap();
  await button.tap();
  const why = steps.getByLabel('Why it is begun all the same');
  if ((await why.count()) > 0) await why.fill('To try it.');
  await steps.getByRole('button', { name: `Begin: ${title}`, exact: true }).tap();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

test('a closed starter is led: sides signed, bees counted aloud, its clock on every page, undone, late with a reason', async ({
  page,
  request,
}) => {
  await buildBox(page, 'X9', 'Shake-in starter');
  await begin(page, 'X9', 'Whole', 'Closed starter');
  await press(page, 'Done');
  await next(page, /sign each side/);
  await expect(card(page).getByText(/6 sides are not signed yet/)).toBeVisible();
  await expect(card(page).getByRole('button', { name: 'Done all the same' })).toBeDisabled();
  for (const frame of [1, 2, 3])
    for (const side of ['one side', 'the other']) await press(page, `Frame ${frame}, ${side}`);
  await press(page, 'Done');
  await next(page, 'Bees in, counted aloud');
  // As fast as a thumb goes, each is one.
  for (let count = 1; count <= 12; count++) {
    await press(page, /^A frame shaken in/);
    await expect(card(page).getByText(new RegExp(`^${count} frames? shaken`))).toBeVisible();
  }
  await press(page, 'Done');
  await next(page, /^Close it/);
  await press(page, 'Done');
  await next(page, 'The grafts go in');
  await expect(card(page).getByRole('status')).toContainText(/In (2 h|1 h 5\d min): from/);
  await page.reload();
  await next(page, 'The grafts go in');
  await page.getByRole('link', { name: 'Rounds' }).first().tap();
  const clock = page
    .getByRole('list', { name: 'Clocks' })
    .getByRole('link', { name: /X9: The grafts go in/ });
  await expect(clock).toBeVisible();
  await expect(page).toHaveTitle(/in .* · X9: The grafts go in/);
  await clock.tap();
  await next(page, 'The grafts go in');
  await card(page).getByLabel('Why it is done all the same').fill('The larvae dry out.');
  await press(page, 'Done all the same');
  await next(page, /^Syrup last/);
  await press(page, 'Undo');
  await next(page, 'The grafts go in');
  await press(page, 'Leave it out…');
  await expect(card(page).getByText(/nothing is started/)).toBeVisible();
  await card(page).getByLabel('Why it is left out').fill('No larvae of the right age.');
  await press(page, 'Leave it out');
  await next(page, /^Syrup last/);
  await press(page, 'Done');
  await next(page, /^Cells that were taken on/);
  const { boxes } = await (await request.get('/api/boxes?find=X9')).json();
  const log = async () => (await (await request.get(`/api/boxes/${boxes[0].id}/log`)).json()).events;
  const kinds = async () => (await log()).map(({ kind }: { kind: string }) => kind);
  await expect.poll(kinds).toContain('fed');
  const events = await log();
  const of = (kind: string) => events.filter((each: { kind: string }) => each.kind === kind);
  expect(of('stepMarked')).toHaveLength(18);
  expect(of('stocked').at(-1).payload).toMatchObject({ shakes: 12, openBrood: false });
  expect(of('fed')).toHaveLength(1);
  expect(of('stepSkipped')).toHaveLength(1);
});

/** Works through what is left: done, with a reason where something speaks against it. */
async function toTheEnd(page: Page): Promise<number> {
  const end = page.getByRole('button', { name: 'All is done: end it' });
  for (let steps = 0; steps < 15; steps++) {
    await expect(page.getByRole('heading', { name: 'All steps' })).toBeVisible();
    if (await end.isVisible()) {
      await end.tap();
      await expect(page.getByText('Worked to its end')).toBeVisible();
      return steps;
    }
    const heading = page.getByRole('heading', { level: 2 });
    const article = page.getByRole('article').filter({ has: heading });
    const title = (await article.getByRole('heading', { level: 2 }).textContent()) ?? '';
    for (const label of ['Where', 'Where to', 'Into which finisher']) {
      const field = article.getByLabel(label, { exact: true });
      if (await field.isVisible()) await field.fill('the school');
    }
    const well = article.getByRole('button', { name: 'Alive, and quiet' });
    if (await well.isVisible()) await well.tap();
    const cells = article.getByLabel('Cells taken on');
    if (await cells.isVisible()) await cells.fill('12');
    const why = article.getByLabel('Why it is done all the same');
    if (await why.isVisible()) await why.fill('To try it.');
    await article.getByRole('button', { name: /^Done/ }).tap();
    await expect(page.getByRole('heading', { level: 2, name: title, exact: true })).toHaveCount(0);
  }
  return -1;
}

for (const [label, room, title, steps, long] of [
  ['N2', 'East', 'Carry or send a nucleus', 8, ''],
  ['D1', 'West', 'Hold a donor', 7, ' @long'],
  ['K1', 'Whole', 'Queen bank', 10, ' @long'],
  ['G1', 'Whole', 'Show a frame above a nucleus', 9, ' @long'],
  ['V1', 'Nucleus', 'Lift frames to be seen', 9, ' @long'],
  ['A1', 'West', 'All in one box', 9, ' @long'],
  ['A1', 'West', 'Finisher', 8, ' @long'],
  ['N3', 'Whole', 'Queenless starter that flies', 8, ' @long'],
  ['FC1', 'Whole', 'Change the frame', 9, ' @long'],
  ['Q1', 'Whole', 'Quarter boxes onto a full body', 7, ' @long'],
  ['B2', 'West', 'Pull compartments together', 6, ' @long'],
  ['B2', 'East', 'Part a pair in spring', 6, ' @long'],
] as const)
  test(`${title}: every step is done on a phone, and what it enters is taken${long}`, async ({ page }) => {
    await begin(page, label, room, title);
    expect(await toTheEnd(page)).toBe(steps);
    await page.goto('/settle');
    await expect(page.getByText(/Nothing (is|waits) to/)).toBeVisible();
  });

test('a glass wall of two columns is drawn, built, stood in the yard, and lived in to its end @long', async ({
  page,
}) => {
  await page.goto('/bench/start');
  await press(page, 'two columns');
  await page.getByLabel(/^Name of the design/).fill('Wall of two columns');
  await press(page, 'Save the design');
  await expect(page.getByText('Saved “Wall of two columns”, version 1.')).toBeVisible();
  await buildBox(page, 'W9', 'Wall of two columns');
  await begin(page, 'W9', 'Whole', 'Standing glazed hive');
  expect(await toTheEnd(page)).toBe(7);
  await page.goto('/settle');
  await expect(page.getByText(/Nothing (is|waits) to/)).toBeVisible();
});
