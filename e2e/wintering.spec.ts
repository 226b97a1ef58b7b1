import { randomUUID } from 'node:crypto';
import { type APIRequestContext, type Browser, expect, type Page, test } from '@playwright/test';
import type { EntryOf, EventKind } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { deriveBox, plusDays, standardDesign } from '@yellow-cell/core';
import { type Stage, setStage } from '../tools/stage.ts';
import { insist } from './yardKit.ts';

/** One yard from October to April, on a server of its own whose day is moved on: no other test lives through a winter. */
const ZONE = 'Europe/Vienna';
const OCTOBER = '2026-10-20';
const deep = (frames: number[]) =>
  standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames });
const DESIGNS = { ten: deep([10]), pair: deep([5, 5]), six: deep([6]) };

/** Twenty colonies: seams as they were counted, room by room. */
const BOXES: readonly (readonly [string, keyof typeof DESIGNS, readonly number[]])[] = [
  ...[5, 6, 5.5, 7, 6.5, 5, 6, 7.5, 5.5, 6, 5, 6.5].map(
    (seams, at) => [`W${at + 1}`, 'ten', [seams]] as const,
  ),
  ['P1', 'pair', [5, 4.5]],
  ['P2', 'pair', [4.5, 5]],
  ['N1', 'six', [2]],
  ['N2', 'six', [5]],
  ['N3', 'six', [5.5]],
  ['N4', 'six', [5]],
];
const COLONIES = BOXES.flatMap(([, , seams]) => seams).length;

let stage: Stage;
let yard = '';
const boxes = new Map<string, { box: string; colonies: string[] }>();
test.beforeAll(async () => {
  stage = await setStage({ day: OCTOBER, empty: true });
});
test.afterAll(() => stage.close());

let seq = 0;
const entry = <K extends EventKind>(kind: K, day: string, payload: EntryOf<K>['payload'], hour = 10) => ({
  id: randomUUID(),
  kind,
  kindVersion: kindVersionOf(kind),
  occurredAt: `${day}T${hour}:00:00+02:00`,
  zone: ZONE,
  person: 'Ann',
  device: 'e2e',
  deviceSeq: seq++,
  payload,
});
async function log(request: APIRequestContext, entries: ReturnType<typeof entry>[]): Promise<void> {
  const logged = await request.post(`${stage.url}/api/events`, { data: { entries, synced: false } });
  expect(await logged.json()).toMatchObject({ toSettle: [] });
}

/** The yard as summer left it: stocked, counted, treated, cold for three weeks. */
async function summer(request: APIRequestContext): Promise<void> {
  yard = randomUUID();
  const place = { latitude_deg: 48.1, longitude_deg: 13.6, zone: ZONE };
  const post = async (path: string, data: object) =>
    expect((await request.post(`${stage.url}/api${path}`, { data })).ok()).toBe(true);
  await post('/yards', { id: yard, name: 'Twenty', ...place });
  const designs = new Map<string, string>();
  for (const [name, content] of Object.entries(DESIGNS)) {
    const id = randomUUID();
    designs.set(name, id);
    await post('/designs', { id, name, version: { id: randomUUID(), content, note: '' } });
  }
  const entries = BOXES.flatMap(([label, name, seams], index) => {
    const box = randomUUID();
    const rooms = deriveBox(DESIGNS[name]).compartments;
    const colonies = seams.map(() => randomUUID());
    boxes.set(label, { box, colonies });
    const [east_m, north_m] = [1 + (index % 6) * 2, 1 + Math.floor(index / 6) * 3];
    return [
      entry('boxBuilt', '2026-04-01', { box, label, design: designs.get(name) ?? '', version: 1 }),
      entry('boxPlaced', '2026-04-02', {
        box,
        yard,
        stand: String(index + 1),
        east_m,
        north_m,
        bearing_deg: 180,
      }),
      ...colonies.flatMap((colony, at) => [
        entry('stocked', '2026-06-01', {
          box,
          colony,
          bays: [...(rooms[at]?.bays ?? [])],
          frames: { sealedBrood: 2, stores: 1, drawn: 2 },
          shakes: 3,
          openBrood: false,
          queen: 'laying',
        }),
        entry('treated', '2026-08-20', { box, colony, product: 'By its label' }),
        entry('strengthSeen', '2026-10-12', { box, colony, seams: seams[at] ?? 0 }),
      ]),
    ];
  });
  const days = Array.from({ length: 60 }, (_, back) => ({
    date: plusDays(OCTOBER, -back),
    min_C: 3,
    max_C: back > 40 ? 19 : 11,
    wind_ms: 2,
    rain_mm: 0,
    flying_h: 0,
  }));
  await log(request, [...entries, entry('weatherRecorded', '2026-10-19', { yard, days })]);
}

const winter = async (page: Page, more = ''): Promise<void> => {
  await page.goto(`${stage.url}/winter?yard=${yard}${more}`);
  await expect(page.getByRole('heading', { level: 1, name: 'Winter in Twenty' })).toBeVisible();
};
const aside = (page: Page, name: string) => page.getByRole('complementary', { name });
const row = (page: Page, title: string, label: string) =>
  aside(page, title)
    .getByRole('row')
    .filter({ has: page.getByRole('link', { name: label, exact: true }) });

/** A page of the yard on a day. */
async function onDay(browser: Browser, day: string, more: object = {}): Promise<Page> {
  await stage.restart(day);
  return (
    await browser.newContext({ locale: 'en-GB', timezoneId: ZONE, serviceWorkers: 'block', ...more })
  ).newPage();
}
/** By the quick line, whatever place is open. */
async function says(page: Page, line: string): Promise<void> {
  await page.keyboard.press('/');
  await page.keyboard.type(line);
  // What a device has not sent yet goes with it where it is closed.
  const kept = page.waitForResponse((answer) => answer.url().endsWith('/api/events') && answer.ok());
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  await kept;
}

test('an autumn of twenty colonies is planned, ticked, wintered with three hefts, and parted in spring @long', async ({
  browser,
  request,
}) => {
  test.setTimeout(600_000);
  await summer(request);

  // October: all of them are listed, one choice is worked out for the yard, and taken.
  const desk = await onDay(browser, OCTOBER, { viewport: { width: 1280, height: 900 } });
  await winter(desk);
  await expect(aside(desk, 'Before winter')).toContainText(`${COLONIES} colonies`);
  const whole = desk.getByRole('region', { name: 'The whole yard' });
  await whole.getByRole('button', { name: 'Work it out' }).click();
  await whole.getByRole('button', { name: 'Take this plan' }).click();
  await expect(aside(desk, 'Before winter').getByText(`${COLONIES} of ${COLONIES}`)).toBeVisible();
  await expect(row(desk, 'Before winter', 'N1')).toContainText('combine');

  // In the yard, on the phone: each is ticked in walking order, and what is to be fed stands by its visits.
  const phone = await onDay(browser, plusDays(OCTOBER, 1), {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  await phone.goto(`${stage.url}/winter/sheet?yard=${yard}`);
  await expect(phone.getByRole('heading', { level: 1, name: 'Winter sheet, Twenty' })).toBeVisible();
  await expect(phone.getByText(`${COLONIES} colonies to be prepared`)).toBeVisible();
  const ticks = phone.getByRole('button', { name: /: done as planned$/ });
  for (let left = await ticks.count(); left > 0; left = await ticks.count()) {
    await ticks.first().tap();
    // Strangers in the cold: said first, and done with a reason.
    const asked = phone.getByLabel('Why it is done all the same');
    await expect
      .poll(async () => (await asked.count()) + Number((await ticks.count()) < left))
      .toBeGreaterThan(0);
    if ((await asked.count()) > 0) await insist(phone);
    await expect(ticks).toHaveCount(left - 1);
  }
  await expect(phone.getByText('Nothing is planned, or all of it is done.')).toBeVisible();
  await phone.getByRole('link', { name: 'Back to Winter' }).tap();
  const before = aside(phone, 'Before winter');
  await expect(before).toContainText(`${COLONIES - 1} colonies`);
  await expect(row(phone, 'Before winter', 'W4')).toContainText('prepared');

  // The short check of one, as one entry: ticked, counted, undone at once.
  await row(phone, 'Before winter', 'W4').getByRole('link').tap();
  await phone.getByText('Short check', { exact: true }).tap();
  await phone.getByLabel('a look down').check();
  await phone.getByLabel('strap or weight').check();
  await phone.getByLabel('Seams seen, if counted').fill('7');
  await phone.getByRole('button', { name: 'Enter the check' }).tap();
  await expect(phone.getByText('Short check, last 21 Oct')).toBeVisible();
  await phone.getByRole('button', { name: 'Undo' }).tap();
  await expect(phone.getByText('Short check', { exact: true })).toBeVisible();

  // Three hefts through the winter: the forecast is fitted to what it used.
  for (const [day, kg] of [
    ['2026-12-12', 30],
    ['2027-01-16', 29],
    ['2027-02-20', 28],
  ] as const) {
    const page = await onDay(browser, day, { viewport: { width: 1280, height: 900 } });
    await winter(page);
    await expect(aside(page, 'In winter')).toContainText('This week:');
    await says(page, `W4 weighs ${kg} kg`);
    await page.context().close();
  }
  const february = await onDay(browser, '2027-02-21', { viewport: { width: 1280, height: 900 } });
  await winter(february, `&box=${boxes.get('W4')?.box}`);
  const hefts = february.getByRole('region', { name: 'Hefts' });
  await expect(hefts.getByRole('listitem')).toHaveCount(3);
  await expect(hefts).toContainText(/It used \d+ % (more|less) than is reckoned/);
  await expect(february.getByRole('region', { name: 'Into the season' })).toBeVisible();
  // One has starved: it is no more among those that are watched, and counts as lost.
  const dead = boxes.get('N4');
  await log(request, [
    entry('failed', '2027-02-20', {
      box: dead?.box ?? '',
      colony: dead?.colonies[0] ?? '',
      reason: 'starved',
    }),
  ]);
  await february.reload();
  await expect(february.getByRole('region', { name: 'How winter went' })).toContainText(
    new RegExp(`Of ${COLONIES - 1} colonies ${COLONIES - 2} came through from .*; 1 died`),
  );

  // April: both halves of P1 are counted; the pair is parted in time, into the box whose bees died.
  const april = await onDay(browser, '2027-04-24', { viewport: { width: 1280, height: 900 } });
  await winter(april);
  await expect(aside(april, 'Out of winter')).toBeVisible();
  await says(april, 'P1 west 4.5 seams');
  await says(april, 'P1 east 3 seams');
  const paired = row(april, 'Out of winter', 'P1 West');
  await expect(paired).toContainText('part the pair');
  await paired.getByRole('link').click();
  const into = /to (N\d)/.exec((await paired.textContent()) ?? '')?.[1] ?? '';
  expect(['N1', 'N4']).toContain(into);
  await april.getByRole('link', { name: 'Count, feed, move, combine…' }).click();
  await april.getByRole('button', { name: 'More…' }).click();
  await april.getByRole('button', { name: 'Into another box…' }).click();
  const option = april.getByLabel('Into').locator('option', { hasText: new RegExp(`^${into} `) });
  await april.getByLabel('Into').selectOption((await option.getAttribute('value')) ?? '');
  await april.getByRole('button', { name: 'Moved', exact: true }).click();
  await winter(april);
  await expect(row(april, 'Out of winter', into)).not.toContainText('part the pair');
  await expect(row(april, 'Out of winter', 'P1 East')).not.toContainText('part the pair');
  await expect(aside(april, 'Out of winter').getByRole('link', { name: 'P1 West', exact: true })).toHaveCount(
    0,
  );
});
