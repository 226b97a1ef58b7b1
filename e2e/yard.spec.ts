import { expect, type Page, test } from '@playwright/test';
import { CONTROL_URL } from './address.ts';
import { buildBox, compartment, insist, slip } from './yardKit.ts';

test.describe('the yard', () => {
  test('from a built box to a take in the ledger', async ({ page }) => {
    await buildBox(page, 'T1', 'National nucleus');
    await page.goto('/ledger');
    const before = await takesOf(page);
    await page.goto('/yard');
    await compartment(page, 'T1 West').click();
    await page.getByRole('button', { name: 'Stock it…' }).click();
    await page.getByRole('button', { name: 'Stocked', exact: true }).click();
    await expect(slip(page).getByText('stocked, no queen since 31 May')).toBeVisible();
    await page.getByRole('button', { name: 'Cell given…' }).click();
    await page.getByRole('button', { name: 'Cell given', exact: true }).click();
    await expect(slip(page).getByText('Check that the cell opened.')).toBeVisible();
    await page.getByRole('button', { name: 'Cell seen opened' }).click();
    await expect(slip(page).getByText('virgin since 31 May')).toBeVisible();
    await page.getByRole('button', { name: 'Eggs seen' }).click();
    await insist(page);
    await page.getByRole('button', { name: 'Score the pattern…' }).click();
    // Pressed before anything was scored, nothing is kept.
    await page.getByRole('button', { name: 'Save the score' }).click();
    await expect(page.getByPlaceholder('not scored yet')).toBeVisible();
    await page.getByRole('button', { name: '90', exact: true }).click();
    await page.getByLabel(/^Marked white, number/).check();
    await page.getByLabel('Number of her mark').fill('701');
    await page.getByRole('button', { name: 'Save the score' }).click();
    await insist(page);
    await expect(page.getByText(/pattern 90 %, marked white 701/).first()).toBeVisible();
    await expect(slip(page).getByText('proven since 31 May')).toBeVisible();
    await page.goto('/ledger');
    expect(await takesOf(page)).toBe(before + 1);
  });

  test('a failure has its reason, and the last entry can be undone', async ({ page }) => {
    await buildBox(page, 'T2');
    await compartment(page, 'T2 Middle').click();
    await page.getByRole('button', { name: 'Stock it…' }).click();
    await page.getByRole('button', { name: 'Stocked', exact: true }).click();
    await page.getByRole('button', { name: 'Cell given…' }).click();
    await page.getByRole('button', { name: 'Cell given', exact: true }).click();
    await page.getByRole('button', { name: 'Failed…' }).click();
    await page.getByLabel('Reason').selectOption('robbed');
    await page.getByRole('button', { name: 'Failed', exact: true }).click();
    await expect(slip(page).getByText(/^empty since/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Failed', exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(slip(page).getByText('cell given since 31 May')).toBeVisible();
    await page.getByLabel('Note', { exact: true }).fill('A torn cell?');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(slip(page).getByText('“A torn cell?”')).toBeVisible();
    await expect(slip(page).getByText('taken back or replaced')).toHaveCount(1);
    await page.keyboard.press('u');
    // The record shows both: what was noted, and that it was taken back.
    await expect(slip(page).getByText('taken back or replaced')).toHaveCount(2);
  });

  test('the date handle shows yesterday’s yard and next week’s expectations', async ({ page }) => {
    await page.goto('/yard');
    const handle = page.getByRole('slider', { name: 'Date shown' });
    await expect(handle).toHaveAttribute('aria-valuetext', '31 May 2026');
    await page.keyboard.press('[');
    await expect(page.getByText('As it was on 30 May 2026, 1 day ago.')).toBeVisible();
    await page.keyboard.press('}');
    await page.keyboard.press(']');
    await expect(page.getByText('As planned on 7 Jun 2026, 7 days ahead.')).toBeVisible();
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    const due = () => page.getByRole('listitem').allTextContents();
    await expect.poll(async () => (await due()).length).toBeGreaterThan(0);
    const ahead = await due();
    await page.keyboard.press('t');
    await expect(page).not.toHaveURL(/on=/);
    await expect.poll(due).not.toEqual(ahead);
    await handle.focus();
    await page.keyboard.press('PageDown');
    await expect(page.getByText('As it was on 24 May 2026')).toBeVisible();
    await page.goto('/yard?on=2025-03-01');
    await expect(page.getByText('No box stood here on 1 Mar 2025.')).toBeVisible();
  });

  test('the past is read-only until somebody corrects it, and the correction is dated then', async ({
    page,
  }) => {
    await buildBox(page, 'T4');
    await compartment(page, 'T4 West').click();
    await page.getByRole('button', { name: 'Stock it…' }).click();
    await page.getByRole('button', { name: 'Stocked', exact: true }).click();
    await page.getByRole('button', { name: 'List' }).click();
    await page.keyboard.press('[');
    await page.getByRole('button', { name: 'Map' }).click();
    await compartment(page, 'B1 West').click();
    await expect(page.getByText('The past is shown as it was.')).toBeVisible();
    await page.getByRole('button', { name: 'Correct this day' }).click();
    await page.getByLabel('Note', { exact: true }).fill('Seen a day late');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(slip(page).getByText('“Seen a day late”')).toBeVisible();
    await page.keyboard.press('[');
    await expect(slip(page).getByText('“Seen a day late”')).toHaveCount(0);
  });

  test('combining ends one colony and books a look at the other', async ({ page }) => {
    await buildBox(page, 'T5');
    for (const name of ['T5 West', 'T5 Middle']) {
      await compartment(page, name).click();
      await page.getByRole('button', { name: 'Stock it…' }).click();
      await page.getByRole('button', { name: 'Stocked', exact: true }).click();
      await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
    }
    await page.getByRole('button', { name: 'Combine…' }).click();
    await page.getByRole('button', { name: 'Combine', exact: true }).click();
    await expect(slip(page).getByText(/^empty since/)).toBeVisible();
    await page.goto(`${page.url()}&on=2026-06-07`);
    await compartment(page, 'T5 West').click();
    await expect(slip(page).getByText('Look again after combining.')).toBeVisible();
  });

  test('an entry made while the database is away is kept, also through a reload, and sent when it is back', async ({
    page,
    request,
  }) => {
    await buildBox(page, 'T6');
    await compartment(page, 'T6 West').click();
    await request.post(`${CONTROL_URL}/stop-database`);
    try {
      await page.getByRole('button', { name: 'Stock it…' }).click();
      await page.getByRole('button', { name: 'Stocked', exact: true }).click();
      await expect(page.getByText('1 entry waits for the server.')).toBeVisible();
      await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
      expect((await request.get('/api/health')).status()).toBe(503);
      await page.reload();
      // The yard as last seen, with what this device has not sent yet.
      await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
    } finally {
      await request.post(`${CONTROL_URL}/start-database`);
    }
    await expect(page.getByText('waits for the server')).toHaveCount(0);
    await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
    await expect.poll(() => countStocked(request, 'T6')).toBe(1);
  });
});

async function takesOf(page: Page): Promise<number> {
  const row = page.getByRole('complementary', { name: 'Summary' }).locator('div', { hasText: /^Takes/ });
  return Number((await row.locator('dd').first().textContent()) ?? Number.NaN);
}

async function countStocked(
  request: Parameters<Parameters<typeof test>[2]>[0]['request'],
  label: string,
): Promise<number> {
  const { boxes } = await (await request.get(`/api/boxes?find=${label}`)).json();
  const { events } = await (await request.get(`/api/boxes/${boxes[0].id}/log`)).json();
  return events.filter(
    (event: { kind: string; payload: { box: string } }) =>
      event.kind === 'stocked' && event.payload.box === boxes[0].id,
  ).length;
}

test('the quick line shows what it understood, asks where it must, and warns before a queen is lost', async ({
  page,
}) => {
  await page.goto('/yard');
  await page.getByRole('button', { name: 'List' }).click();
  const line = page.getByLabel(/^Find a box/);
  await line.focus();
  await line.fill('B3 fed 2 lb fondant');
  await expect(page.getByText('Which compartment of B3?')).toBeVisible();
  await page.getByRole('button', { name: 'Middle', exact: true }).click();
  await page.getByRole('button', { name: /B3 Middle: fed 0.907 kg of fondant/ }).click();
  await expect(page.getByText('B3 Middle: fed 0.907 kg of fondant')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await line.focus();
  await line.fill('B7 pull divider 1');
  await expect(page.getByText(/colonies .* become one/)).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByLabel('Why it is done all the same').fill('Uniting them on purpose');
  await page.getByRole('button', { name: 'Do it all the same' }).click();
  await expect(page.getByText('B7: divider 1 pulled').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^B7 · / })).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^B7 · / })).toHaveCount(3);
});

test('the quick line takes several rooms and days, and each piece of it can be changed before it is kept', async ({
  page,
}) => {
  await page.goto('/yard');
  await page.getByRole('button', { name: 'List' }).click();
  await page.getByRole('button', { name: /^B7 · Middle/ }).click();
  const line = page.getByLabel(/^Find a box/);
  await page.keyboard.press('/');
  await line.fill('B7 middle 3 seams yesterday bananas, e brood 1 28 may');
  await expect(page.getByText('“bananas” is not understood')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^note 3 seams/ })).toBeFocused();
  await line.fill('B7 middle 3 seams yesterday, e brood 1 28 may');
  const pieces = page.getByRole('list', { name: 'Understood as' });
  await pieces.getByRole('button', { name: '3 seams of bees' }).click();
  await page.getByRole('button', { name: '3.5', exact: true }).click();
  await pieces.getByRole('button', { name: 'East' }).click();
  await page.getByRole('button', { name: 'West', exact: true }).click();
  await expect(line).toHaveValue('B7 middle 3.5 seams yesterday, West brood 1 28 may');
  await expect(
    page.getByText('The bees of B7 West are there since 30 May, not yet on 28 May.'),
  ).toBeVisible();
  await line.fill('B7 middle 3.5 seams yesterday, West brood 1 today');
  const answered = page.waitForResponse((response) => response.url().endsWith('/api/events'));
  await page.keyboard.press('Enter');
  expect((await answered).status()).toBe(200);
  const told = 'B7 Middle, 30 May: 3.5 seams of bees; B7 West: 1 frame of brood';
  await expect(page.getByText(told)).toBeVisible();
  await expect(line).toHaveValue('');
  await expect(page.getByText('3.5 seams, 30 May')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('3.5 seams, 30 May')).toHaveCount(0);
});

test('the quick line is there with the page: no key is lost, no shortcut fires, and its text survives', async ({
  page,
}) => {
  let release = (): void => undefined;
  const answered = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route('**/api/**', async (route) => {
    await answered;
    await route.continue();
  });
  await page.goto('/yard', { waitUntil: 'domcontentloaded' });
  await page.waitForFunction(() => document.querySelector('#root')?.textContent !== '');
  await page.keyboard.type('/5 b7 middle 3t', { delay: 5 });
  await page.keyboard.press('Backspace');
  release();
  const line = page.getByLabel(/^Find a box/);
  await expect(line).toHaveValue('5 b7 middle 3');
  await expect(line).toBeFocused();
  await expect(page).toHaveURL(/\/yard/);
  await page.reload();
  await expect(line).toHaveValue('5 b7 middle 3');
  await line.focus();
  await page.keyboard.press('Escape');
  await expect(line).toHaveValue('');
});

test('a map is looked at nearer, drawn along, walked by arrows, and seen whole again', async ({ page }) => {
  await page.goto('/yard?view=map');
  const room = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}: `) });
  const width = async () => (await room('B3 Middle').boundingBox())?.width ?? 0;
  await expect(room('B3 Middle')).toBeVisible();
  const whole = await width();
  const map = await page.getByRole('group', { name: 'Quarry meadow from above' }).boundingBox();
  const at = await room('B3 Middle').boundingBox();
  if (!map || !at) throw new Error('There is no map.');
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await expect(async () => {
    await page.mouse.wheel(0, -200);
    expect(await width()).toBeGreaterThan(whole * 1.2);
  }).toPass();
  // What lay under the hand lies there still; a drag takes it along, and chooses nothing.
  const near = await room('B3 Middle').boundingBox();
  expect(Math.abs((near?.x ?? 0) + (near?.width ?? 0) / 2 - at.x - at.width / 2)).toBeLessThan(8);
  const address = page.url();
  await page.mouse.down();
  await page.mouse.move(at.x + 60, at.y + 40, { steps: 5 });
  await page.mouse.up();
  expect((await room('B3 Middle').boundingBox())?.x).toBeGreaterThan((near?.x ?? 0) + 20);
  expect(page.url()).toBe(address);
  await room('B3 West').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', /^B4 /);
  await page.keyboard.press('0');
  await expect.poll(width).toBeCloseTo(whole, 0);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary').getByRole('heading', { name: /^B4/ })).toBeVisible();
});

test('boxes are chosen on the map by a line around them or one by one, and entered for together', async ({
  page,
  request,
}) => {
  // Where no other test builds or moves a box.
  const yards: { id: string; name: string }[] = await (await request.get('/api/yards')).json();
  await page.goto(`/yard/${yards.find(({ name }) => name === 'Upper orchard')?.id}?view=map`);
  const middle = async (name: string) => {
    const at = await page.getByRole('button', { name: new RegExp(`^${name}: `) }).boundingBox();
    if (!at) throw new Error(`${name} is not on the map.`);
    return { x: at.x + at.width / 2, y: at.y + at.height / 2 };
  };
  await page.getByRole('button', { name: 'Choose several' }).click();
  await expect(page.getByText('Draw around boxes, or press them.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Draw a line around boxes/ })).toBeVisible();
  const [b9, b10, b12] = [
    await middle('B9 Middle'),
    await middle('B10 West'),
    await middle('B12 South-west'),
  ];
  const around = [
    [b9.x - 60, b9.y - 50],
    [b10.x + 60, b10.y - 50],
    [b10.x + 60, b10.y + 50],
    [b9.x - 60, b9.y + 50],
    [b9.x - 60, b9.y - 50],
  ] as const;
  await page.mouse.move(...around[0]);
  await page.mouse.down();
  for (const [x, y] of around) await page.mouse.move(x, y, { steps: 4 });
  await page.mouse.up();
  const said = page.getByRole('status').filter({ hasText: 'box' });
  await expect(said).toHaveText('2 boxes B9-B10');
  await page.mouse.click(b12.x, b12.y);
  await expect(said).toHaveText('3 boxes B9-B10, B12');
  await page.mouse.click(b12.x, b12.y);
  await expect(said).toHaveText('2 boxes B9-B10');
  await page.getByRole('link', { name: 'Enter for all' }).click();
  await page.getByRole('link', { name: /^Feed/ }).click();
  await expect(page.getByLabel('Only')).toHaveValue('B9-B10');
  await expect(page.getByRole('listitem').filter({ hasText: /^B(9|10|12)/ })).toHaveCount(5);
});

test('a page of the past that does not come is not asked for all the time, and what has come is said to be so far', async ({
  page,
}) => {
  let failed = 0;
  await page.route('**/api/yards/*/log?*after=*', (route) => {
    failed += 1;
    return route.fulfill({ status: 500, contentType: 'application/json', body: '{}' });
  });
  await page.goto('/yard?view=map&on=2026-05-20');
  await expect(page.getByText(/\d+ boxes so far/)).toBeVisible();
  await expect.poll(() => failed).toBeGreaterThan(0);
  await page.waitForTimeout(3_000);
  expect(failed).toBeLessThan(3);
  await page.unroute('**/api/yards/*/log?*after=*');
  await page.getByRole('button', { name: 'Show more boxes' }).click();
  await expect(page.getByText(/^17 boxes · /)).toBeVisible();
});
