import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import { CONTROL_URL } from './address.ts';
import { buildBox, compartment, insist, slip } from './yardKit.ts';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true } as const;
const NAMES = ['West', 'Middle', 'East'] as const;
const tap = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) })
    .first()
    .tap();
const line = (page: Page) => page.getByLabel(/^Find a box/);

interface Logged {
  kind: string;
  note?: string;
  payload: { box?: string };
}
async function eventsOf(request: APIRequestContext, label: string): Promise<Logged[]> {
  const { boxes } = await (await request.get(`/api/boxes?find=${label}`)).json();
  return (await (await request.get(`/api/boxes/${boxes[0].id}/log`)).json()).events.filter(
    ({ payload }: Logged) => payload.box === boxes[0].id,
  );
}

/** Types an entry and keeps it once the line has said what it understood. */
async function enter(page: Page, typed: string, understood: string | RegExp): Promise<void> {
  await line(page).focus();
  await line(page).fill(typed);
  await expect(page.getByRole('button', { name: understood })).toBeVisible();
  await line(page).press('Enter');
  await expect(line(page)).toHaveValue('');
}

async function open(page: Page, label: string, name: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`^${label} · ${name}|^${label} ${name}`) })
    .first()
    .tap();
  await expect(slip(page).getByRole('heading', { name: new RegExp(`${label} · ${name}`) })).toBeVisible();
}

test.describe('a round on a phone', () => {
  test.use(PHONE);

  test('by touch: three stocked, cells, weather, eggs in two, one fails and is combined, and the look a week on', async ({
    page,
    request,
  }) => {
    await buildBox(page, 'P1');
    const [yard] = await (await request.get('/api/yards')).json();
    for (const name of NAMES) {
      await page.goto(`/yard/${yard.id}`);
      await open(page, 'P1', name);
      await tap(page, 'Stock it…');
      await tap(page, 'Stocked');
      await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
      await tap(page, 'Cell given…');
      await tap(page, 'Cell given');
      await tap(page, 'Cell seen opened');
      await expect(slip(page).getByText(/^virgin since/)).toBeVisible();
    }
    // Rain on every day that she could have flown: the look for eggs moves by as many days.
    const windows = page.getByText(/Expected \d+ Jun/);
    const dry = await windows.first().textContent();
    const days = Array.from({ length: 7 }, (_, index) => ({
      date: `2026-06-${String(6 + index).padStart(2, '0')}`,
      min_C: 8,
      max_C: 13,
      wind_ms: 4,
      rain_mm: 9,
      flying_h: index < 6 ? 0 : 4,
    }));
    const rain = {
      id: crypto.randomUUID(),
      kind: 'weatherRecorded',
      kindVersion: 1,
      occurredAt: '2026-05-31T08:00:00Z',
      zone: 'Europe/Vienna',
      person: 'Test',
      device: 'station',
      deviceSeq: 1,
      payload: { yard: yard.id, days },
    };
    expect((await request.post('/api/events', { data: { entries: [rain] } })).status()).toBe(200);
    await page.reload();
    await expect(slip(page).getByText(/without flying weather put this off/)).toBeVisible();
    expect(await windows.first().textContent()).not.toBe(dry);
    const undo = { ...rain, id: crypto.randomUUID(), kind: 'withdrawn', payload: {}, corrects: rain.id };
    expect((await request.post('/api/events', { data: { entries: [undo] } })).status()).toBe(200);

    for (const name of ['West', 'Middle']) {
      await page.goto(`/yard/${yard.id}`);
      await open(page, 'P1', name);
      await tap(page, 'Eggs seen');
      // Minutes after the cell they are another queen's, or workers': kept with a reason.
      await insist(page);
      await expect(slip(page).getByText(/^laying since/)).toBeVisible();
    }
    await page.goto(`/yard/${yard.id}`);
    await open(page, 'P1', 'East');
    await tap(page, 'Failed…');
    await tap(page, 'Failed');
    await expect(slip(page).getByText(/^failed since/)).toBeVisible();
    await tap(page, 'Combine…');
    await page.getByLabel('With', { exact: true }).selectOption({ label: 'P1 Middle: laying' });
    await tap(page, 'Combine');
    await expect(slip(page).getByText(/^empty since/)).toBeVisible();
    await page.goto(`/yard/${yard.id}?on=2026-06-07`);
    await open(page, 'P1', 'Middle');
    await expect(slip(page).getByText('Look again after combining.').first()).toBeVisible();
  });

  test('the same by quick line @long', async ({ page }) => {
    await buildBox(page, 'P2');
    await page.getByRole('button', { name: 'Close the slip' }).tap();
    for (const name of NAMES) {
      await open(page, 'P2', name);
      await tap(page, 'Stock it…');
      await tap(page, 'Stocked');
      await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
      await page.getByRole('button', { name: 'Close the slip' }).tap();
    }
    for (const name of NAMES) {
      await enter(page, `P2 ${name} cell given`, `P2 ${name}: cell given`);
      await enter(page, `P2 ${name.toLowerCase()} cell opened`, `P2 ${name}: cell seen opened`);
    }
    for (const typed of ['p2 west eggs bees 3', 'P2 middle eggs']) {
      await line(page).fill(typed);
      await insist(page);
      await expect(line(page)).toHaveValue('');
    }
    await enter(page, 'P2 east failed lost', 'P2 East: failed, virgin lost');
    await enter(page, 'P2 east combine middle', 'P2 East: combined into Middle');
    await page.goto(`${page.url().split('?')[0]}?on=2026-06-07`);
    await open(page, 'P2', 'Middle');
    await expect(slip(page).getByText('Look again after combining.').first()).toBeVisible();
  });
});

test.describe('without a network', () => {
  test.use({ ...PHONE, serviceWorkers: 'allow' });

  /** Once it was opened with a network, so that the application and the yard as it stands are on the device. */
  async function seenOnce(page: Page): Promise<void> {
    await page.goto('/yard');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForFunction(async () => (await caches.keys()).length > 0);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(1_500);
  }

  test('it opens, shows the yard as last seen, takes entries, and sends them when it is back', async ({
    page,
    context,
    request,
  }) => {
    await buildBox(page, 'P3');
    await seenOnce(page);
    await context.setOffline(true);
    await page.goto('/yard');
    await expect(page.getByRole('button', { name: /^P3 · West/ })).toBeVisible();
    await open(page, 'P3', 'West');
    await tap(page, 'Stock it…');
    await tap(page, 'Stocked');
    await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
    await tap(page, 'Cell given…');
    await tap(page, 'Cell given');
    await expect(slip(page).getByText(/^cell given since/)).toBeVisible();
    await expect(page.getByText('No connection.')).toBeVisible();
    await page.reload();
    await expect(slip(page).getByText(/^cell given since/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/wait.? for the server/)).toHaveCount(0);
    await expect(page.getByText('No connection.')).toHaveCount(0);
    await expect
      .poll(async () => (await eventsOf(request, 'P3')).map(({ kind }) => kind).sort())
      .toEqual(['boxBuilt', 'boxPlaced', 'cellGiven', 'stocked']);
  });

  test('two hundred entries arrive once each through a reload, a connection that drops and a server that restarts @long', async ({
    page,
    context,
    request,
  }) => {
    test.setTimeout(480_000);
    const [COUNT, TYPED] = [200, 5];
    await buildBox(page, 'P4');
    await seenOnce(page);
    await context.setOffline(true);
    await page.goto('/yard');
    await expect(page.getByRole('button', { name: /^P4 · West/ })).toBeVisible();
    const note = (index: number) => `Counted ${index}.`;
    for (let index = 0; index < TYPED; index++) {
      await line(page).focus();
      await line(page).fill(`P4 note ${note(index)}`);
      await page.getByRole('button', { name: /^P4: note/ }).waitFor();
      await line(page).press('Enter');
      await expect(line(page)).toHaveValue('');
    }
    // The rest as the same phone would have kept them, had somebody typed all day.
    await page.evaluate(copyParcels, { count: COUNT, typed: TYPED });
    await page.reload();
    await expect(page.getByText(`${COUNT} entries wait for the server.`)).toBeVisible();

    // Every fortieth answer is lost on its way back: the server has the entry, the phone does not know it.
    let asked = 0;
    await page.route('**/api/events', async (route) => {
      asked += 1;
      if (asked % 40 !== 0) return route.continue();
      await route.fetch().catch(() => undefined);
      return route.abort('connectionreset');
    });
    await context.setOffline(false);
    await expect.poll(() => asked, { timeout: 60_000 }).toBeGreaterThan(20);
    await request.post(`${CONTROL_URL}/restart-server`, { timeout: 60_000 });
    await page.reload();
    await expect(page.getByText(/wait.? for the server/)).toHaveCount(0, { timeout: 120_000 });
    const notes = async () =>
      (await eventsOf(request, 'P4')).flatMap((event) => (event.note ? [event.note] : [])).sort();
    const all = Array.from({ length: COUNT }, (_, index) => note(index)).sort();
    await expect.poll(notes, { timeout: 120_000 }).toEqual(all);
    await page.waitForTimeout(3_000);
    expect(await notes()).toEqual(all);
  });

  test('what clashes with what another entered waits, with both sides shown, until somebody settles it', async ({
    page,
    context,
    request,
  }) => {
    await buildBox(page, 'P5');
    await tap(page, 'Close the slip');
    await open(page, 'P5', 'West');
    await tap(page, 'Stock it…');
    await tap(page, 'Stocked');
    await expect(slip(page).getByText('stocked, no queen since')).toBeVisible();
    await seenOnce(page);
    await context.setOffline(true);
    await page.goto('/yard');
    await open(page, 'P5', 'West');
    await tap(page, 'Cell given…');
    await tap(page, 'Cell given');
    await expect(slip(page).getByText(/^cell given since/)).toBeVisible();
    // Meanwhile the helper combined those bees away.
    const stocked = (await eventsOf(request, 'P5')).find(({ kind }) => kind === 'stocked') as unknown as {
      occurredAt: string;
      payload: { box: string; colony: string };
    };
    const { box, colony } = stocked.payload;
    const robbed = {
      id: crypto.randomUUID(),
      kind: 'failed',
      kindVersion: 1,
      occurredAt: new Date(Date.parse(stocked.occurredAt) + 1).toISOString(),
      zone: 'Europe/Vienna',
      person: 'Joss',
      device: 'other-phone',
      deviceSeq: 1,
      payload: { box, colony, reason: 'robbed' },
    };
    const answer = await request.post('/api/events', { data: { entries: [robbed], synced: true } });
    expect(answer.status()).toBe(200);
    await context.setOffline(false);
    await expect(page.getByText(/to settle\./)).toBeVisible({ timeout: 30_000 });
    await page.getByRole('link', { name: 'See both sides' }).tap();
    const clash = page.getByRole('listitem').filter({ hasText: 'P5' });
    await expect(clash.getByText('Waits', { exact: true })).toBeVisible();
    await expect(clash.getByText('Stands', { exact: true })).toBeVisible();
    await clash.getByRole('button', { name: 'What stands holds' }).tap();
    await expect(page.getByText('Nothing waits to be settled.')).toBeVisible();
  });
});

/** In the page: more entries like the last one kept, each with an id and a note of its own, straight into the device's database. */
async function copyParcels({ count, typed }: { count: number; typed: number }): Promise<void> {
  const opened = indexedDB.open('yellow-cell');
  await new Promise((done) => {
    opened.onsuccess = done;
  });
  const shelf = opened.result.transaction('kept', 'readwrite').objectStore('kept');
  const kept = shelf.get('parcels');
  await new Promise((done) => {
    kept.onsuccess = done;
  });
  const model = kept.result[kept.result.length - 1];
  const copies = Array.from({ length: count - typed }, (_, index) => {
    const [entry] = model.entries;
    const at = typed + index;
    const copy = {
      ...entry,
      id: crypto.randomUUID(),
      deviceSeq: entry.deviceSeq + at,
      note: `Counted ${at}.`,
    };
    return { ...model, id: crypto.randomUUID(), entries: [copy] };
  });
  shelf.put([...kept.result, ...copies], 'parcels');
  await new Promise((done) => {
    shelf.transaction.oncomplete = done;
  });
  opened.result.close();
}

test('frames are looked through by taps, carried by keyboard, turned, taken out and put back', async ({
  page,
}) => {
  await buildBox(page, 'F1');
  await compartment(page, 'F1 West').click();
  await page.getByRole('button', { name: 'Stock it…' }).click();
  await page.getByRole('button', { name: 'Stocked', exact: true }).click();
  await page.getByRole('link', { name: '3, one by one' }).click();
  // Without room for a second column the form unfolds below its frame.
  await page.setViewportSize({ width: 900, height: 800 });
  await page.getByRole('button', { name: 'Look through F1 West, frame 1' }).click();
  for (let quarter = 0; quarter < 3; quarter++)
    await page.getByRole('button', { name: /^Side nearer the left: sealed brood/ }).click();
  await page.getByRole('button', { name: /^Other side: stores/ }).click();
  await page.getByLabel('The queen is on this frame').check();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  const first = page.getByRole('img', { name: 'F1 West, frame 1, side nearer the left: sealed brood 75 %' });
  await expect(first).toBeVisible();
  await page.getByRole('button', { name: 'Turn F1 West, frame 1 round' }).click();
  await expect(
    page.getByRole('img', { name: 'F1 West, frame 1, other side: sealed brood 75 %' }),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Carry F1 West, frame 1' }).focus();
  for (const key of ['Space', 'ArrowDown', 'Space']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(300);
  }
  await expect(
    page.getByRole('img', { name: 'F1 West, frame 2, other side: sealed brood 75 %' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Out: F1 West, frame 2' }).click();
  await page.getByRole('button', { name: 'Taken out', exact: true }).click();
  await expect(page.getByText(/to be shown since/)).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(
    page.getByRole('img', { name: 'F1 West, frame 2, other side: sealed brood 75 %' }),
  ).toBeVisible();
});

test('a box is dragged on the plan, turned, stacked and taken down', async ({ page }) => {
  await buildBox(page, 'M1');
  await page.getByRole('button', { name: 'Arrange' }).click();
  const box = page.getByRole('button', { name: /^M1 West:/ });
  const before = await box.boundingBox();
  if (!before) throw new Error('M1 is not drawn.');
  const [x, y] = [before.x + before.width / 2, before.y + before.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y - 40, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('M1 moved').first()).toBeVisible();
  await page.getByRole('button', { name: 'Turn right: M1' }).click();
  await slip(page).getByRole('button', { name: 'M1', exact: true }).click();
  await expect(slip(page).getByText(/· front to the .* \(195°\)/)).toBeVisible();
  await page.getByLabel('M1 stands on').selectOption({ label: 'B1' });
  await expect(slip(page).getByText(/, on B1/)).toBeVisible();
  await page.getByLabel('M1 stands on').selectOption({ label: 'its stand' });
  await expect(slip(page).getByText(/, on B1/)).toHaveCount(0);
});

test('a queen is found by her mark, and has her family and her story', async ({ page }) => {
  await page.goto('/yard');
  await page
    .getByRole('button', { name: /: laying since/ })
    .first()
    .press('Enter');
  await slip(page)
    .getByRole('link', { name: /queen|No\./i })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByLabel('Name').fill('Marigold');
  await page.getByLabel('Mark', { exact: true }).selectOption('white');
  await page.getByLabel('Number').fill('7');
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: /Marigold/ })).toBeVisible();
  await expect(page.getByText('Queen marked white 7')).toBeVisible();
  await page.goto('/yard');
  await line(page).focus();
  await line(page).fill('Marigold');
  await page.getByRole('option', { name: /Marigold/ }).click();
  await expect(page).toHaveURL(/\/queen\//);
});
