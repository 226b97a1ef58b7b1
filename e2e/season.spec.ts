import { expect, type Page, test } from '@playwright/test';
import { type Stage, setStage } from '../tools/stage.ts';

/** A season goes on from day to day: it has a stage of its own, whose clock no other test shares. */
const START = '2026-05-31';
let stage: Stage;
test.beforeAll(async () => {
  test.setTimeout(120_000);
  stage = await setStage({ day: START });
});
test.afterAll(() => stage.close());

const slip = (page: Page) => page.getByRole('complementary', { name: 'Slip' });
const plan = (page: Page) => page.getByRole('region', { name: 'The season as one plan' });
const order = (page: Page) => slip(page).getByRole('listitem').filter({ hasText: 'Order of thirty' }).first();
const dayOf = (shown: string | null): string =>
  new Date(`${shown} 2026 12:00 UTC`).toISOString().slice(0, 10);
const after = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * 86_400_000).toISOString().slice(0, 10);

async function onDay(page: Page, day: string, path = '/rounds'): Promise<void> {
  await stage.restart(day);
  await page.goto(stage.url + path);
}

/** One act for all rooms of the boxes that were built for the order. */
async function forAll(page: Page, act: string, rooms: number): Promise<void> {
  await page.getByRole('navigation', { name: 'What is entered' }).getByRole('link', { name: act }).click();
  await page.getByLabel('Only').fill('T1-T10');
  await page.getByRole('button', { name: `All ${rooms}` }).click();
  const why = page.getByLabel(/^Why it is done all the same/);
  if (await why.isVisible()) await why.fill('As planned.');
  const enter = page.getByRole('main').getByRole('button').last();
  await expect(enter).toContainText(`${rooms} rooms`);
  await enter.click();
  await expect(page.getByText(new RegExp(`: ${rooms} rooms$`)).first()).toBeVisible();
}

test('an order of thirty is planned, dragged, remade after a lost week, given, taken and handed over', async ({
  page,
}) => {
  await page.goto(`${stage.url}/yard?build=`);
  const design = page.getByLabel('Design', { exact: true });
  const three = design.locator('option', { hasText: 'Three-way, ten-frame body' });
  await design.selectOption((await three.getAttribute('value')) ?? '');
  await page.getByLabel('How many').fill('10');
  await page.getByLabel('First label').fill('T1');
  await page.getByRole('button', { name: '10 built, and on their stands' }).click();
  await expect(page.getByText('10 boxes, T1 to T10, built')).toBeVisible();
  const [home] = await (await page.request.get(`${stage.url}/api/yards`)).json();
  const many = `/yard/${home.id}/many`;

  // Wanted, and worked out.
  await page.goto(`${stage.url}/rounds`);
  await slip(page).getByRole('button', { name: 'Queens wanted…' }).click();
  await slip(page).getByLabel('For').fill('Order of thirty');
  await slip(page).getByLabel('Queens (how many)').fill('30');
  await slip(page).getByLabel('By', { exact: true }).fill('2026-08-28');
  await slip(page).getByRole('button', { name: 'Wanted', exact: true }).click();
  await expect(order(page)).toContainText('30 queens by 28 Aug');
  const planned = page.getByRole('button', { name: /^Round \d+, planned/ });
  const before = await planned.count();
  await plan(page).getByRole('button', { name: 'Work out the rounds' }).click();
  const rounds = plan(page).getByRole('list', { name: 'Rounds of the plan' });
  await expect(rounds.getByRole('listitem').first()).toBeVisible();
  const more = await rounds.getByRole('listitem').count();
  await plan(page).getByLabel('Donor', { exact: true }).fill('Sable');
  await plan(page).getByRole('button', { name: 'Plan these rounds' }).click();
  await expect(planned).toHaveCount(before + more);

  // Dragged by hand.
  const name = /^Round \d+/.exec((await planned.first().getAttribute('aria-label')) ?? '')?.[0] ?? '';
  const graft = page.getByRole('slider', { name: `Graft of ${name.toLowerCase()}` });
  const shown = await graft.getAttribute('aria-valuetext');
  await graft.scrollIntoViewIfNeeded();
  const at = await graft.boundingBox();
  if (!at) throw new Error('The graft is not on the sheet.');
  const middle = { x: at.x + at.width / 2, y: at.y + at.height / 2 };
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(middle.x + 30, middle.y, { steps: 5 });
  await expect(page.getByText(/^Moved to/)).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText(/^Moved to/)).toHaveCount(0);
  await expect(graft).not.toHaveAttribute('aria-valuetext', shown ?? '');
  const dragged = dayOf(await graft.getAttribute('aria-valuetext'));
  expect(dragged > dayOf(shown)).toBe(true);

  // A week goes by in which nothing is grafted: it is said, counts nowhere, and the plan is made anew.
  const late = after(dragged, 3);
  await onDay(page, late);
  const missed = page.getByRole('button', { name: /^Round \d+, not grafted/ });
  await expect(page.getByRole('button', { name: new RegExp(`^${name}, not grafted`) })).toBeVisible();
  await plan(page)
    .getByRole('checkbox', { name: /may change, at the price/ })
    .check();
  await plan(page).getByRole('button', { name: 'Plan them anew' }).click();
  await expect(rounds.getByText(/its day is past/).first()).toBeVisible();
  await plan(page).getByRole('button', { name: 'Change the plan so' }).click();
  await expect(rounds).toHaveCount(0);
  await expect(missed).toHaveCount(0);

  // Its comb, its graft, its count.
  await planned.first().click();
  const remade = /\d+/.exec((await slip(page).getByRole('heading', { level: 2 }).textContent()) ?? '')?.[0];
  const graftOn = dayOf(
    await page.getByRole('slider', { name: `Graft of round ${remade}` }).getAttribute('aria-valuetext'),
  );
  const path = new URL(page.url()).pathname + new URL(page.url()).search;
  await onDay(page, after(graftOn, -4), path);
  await slip(page).getByRole('button', { name: 'Drawn comb to the donor now' }).click();
  await expect(slip(page).getByRole('button', { name: 'Another comb to the donor now' })).toBeVisible();
  await onDay(page, graftOn, path);
  await slip(page).getByRole('button', { name: 'Grafted today…' }).click();
  await slip(page).getByLabel('Larvae grafted').fill('44');
  await slip(page).getByRole('button', { name: 'Grafted', exact: true }).click();
  await onDay(page, after(graftOn, 1), path);
  await slip(page).getByRole('button', { name: 'Count what is taken on…' }).click();
  await slip(page).getByLabel('Cells taken on').fill('34');
  await slip(page).getByRole('button', { name: 'Counted' }).click();
  await expect(slip(page).getByText('34 of 44', { exact: false })).toBeVisible();

  // Rooms stocked the day before, and the ripe cells given in one go.
  await onDay(page, after(graftOn, 9), many);
  await forAll(page, 'Stock', 30);
  await onDay(page, after(graftOn, 10), path);
  await slip(page)
    .getByRole('link', { name: /^Give them in/ })
    .first()
    .click();
  await forAll(page, 'Give a cell', 30);
  await page.goto(stage.url + path);
  await expect(slip(page).getByText(/30 cells given/)).toBeVisible();

  // Eggs in all of them, and two weeks on they are handed over, one too many only with a reason.
  await onDay(page, after(graftOn, 24), many);
  await forAll(page, 'Eggs seen', 30);
  await onDay(page, after(graftOn, 40));
  await expect(order(page)).toContainText(/are there/);
  await order(page).getByRole('button', { name: 'Hand over…' }).click();
  await order(page).getByRole('link', { name: 'From Quarry meadow' }).click();
  await expect(page.getByLabel('Handed over for').locator('option:checked')).toHaveText(
    /^Order of thirty: 30/,
  );
  await expect(page.getByRole('listitem').filter({ hasText: 'T1 West' })).toContainText('laying since');
  await page.getByLabel('Only').fill('T1-T10');
  const rows = page.getByRole('listitem').filter({ hasText: /^T\d/ });
  await expect(rows).toHaveCount(30);
  await page.getByRole('button', { name: 'None' }).click();
  for (const at of [0, 1]) await rows.nth(at).locator('label').click();
  await page.getByRole('button', { name: 'Queens handed over for Order of thirty: 2 queens' }).click();
  await expect(rows).toHaveCount(28);
  await page.getByRole('button', { name: 'All 28' }).click();
  await page.getByRole('button', { name: 'Queens handed over for Order of thirty: 28 queens' }).dblclick();
  await expect(rows).toHaveCount(0);
  await page.getByRole('link', { name: 'Rounds', exact: true }).click();
  await expect(order(page)).toContainText('All are handed over.');
  // One undo takes the last of them back.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(order(page)).toContainText('2 handed over, 28 still wanted.');
});
