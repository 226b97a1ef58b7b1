import { randomUUID } from 'node:crypto';
import { type APIRequestContext, expect, type Locator, type Page, test } from '@playwright/test';
import type { CombSide, EntryOf, EventKind } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { deriveBox, plusDays, standardDesign } from '@yellow-cell/core';

/** A yard in the south has its autumn in May, when the demo's clock stands in the north's spring. */
const ZONE = 'Pacific/Auckland';
const TODAY = '2026-05-31';
const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const [room] = deriveBox(content).compartments;
const slots = room?.frames.map(({ id }) => id) ?? [];

const both = (side: CombSide): [CombSide, CombSide] => [side, side];
/** Foundation, stores, brood, stores, empty comb. */
const COMBS: readonly [CombSide, CombSide][] = [
  both({ foundation: 1 }),
  both({ stores: 0.8 }),
  both({ stores: 0.6, pollen: 0.2 }),
  both({ sealed: 0.3, stores: 0.4 }),
  both({ sealed: 0.2, stores: 0.5 }),
  both({ stores: 0.7 }),
  both({ stores: 0.4 }),
  both({}),
  both({ foundation: 1 }),
  both({ foundation: 1 }),
];

interface Yard {
  id: string;
  boxes: Map<string, { box: string; colony: string }>;
}

/** Boxes of ten frames with a colony each; seams counted where they are given, the first looked through. */
async function autumnYard(
  request: APIRequestContext,
  seams: Record<string, number | undefined>,
): Promise<Yard> {
  const [id, design] = [randomUUID(), randomUUID()];
  const name = `South ${id.slice(0, 4)}`;
  const place = { latitude_deg: -41.2, longitude_deg: 173, zone: ZONE };
  expect((await request.post('/api/yards', { data: { id, name, ...place } })).ok()).toBe(true);
  const version = { id: randomUUID(), content, note: '' };
  expect(
    (await request.post('/api/designs', { data: { id: design, name: `Ten ${name}`, version } })).ok(),
  ).toBe(true);
  const boxes: Yard['boxes'] = new Map();
  let seq = 0;
  const entry = <K extends EventKind>(kind: K, day: string, payload: EntryOf<K>['payload']) => ({
    id: randomUUID(),
    kind,
    kindVersion: kindVersionOf(kind),
    occurredAt: `${day}T10:00:00+12:00`,
    zone: ZONE,
    person: 'Ann',
    device: 'e2e',
    deviceSeq: seq++,
    payload,
  });
  const entries = Object.entries(seams).flatMap(([label, count], index) => {
    const of = { box: randomUUID(), colony: randomUUID() };
    const { box } = of;
    boxes.set(label, of);
    return [
      entry('boxBuilt', '2025-09-01', { box, label, design, version: 1 }),
      entry('boxPlaced', '2025-09-02', {
        box,
        yard: id,
        stand: String(index + 1),
        east_m: 1 + index * 2,
        north_m: 1,
        bearing_deg: 0,
      }),
      entry('stocked', '2025-12-01', {
        ...of,
        bays: [...(room?.bays ?? [])],
        frames: { sealedBrood: 2, stores: 2, drawn: 6 },
        shakes: 3,
        openBrood: false,
        queen: 'laying',
      }),
      ...(count === undefined ? [] : [entry('strengthSeen', '2026-05-20', { ...of, seams: count })]),
      ...(index === 0
        ? COMBS.map((sides, at) =>
            entry('frameAudited', '2026-05-25', { ...of, frame: randomUUID(), slot: slots[at] ?? '', sides }),
          )
        : []),
    ];
  });
  const days = Array.from({ length: 20 }, (_, back) => ({
    date: plusDays(TODAY, back - 21),
    min_C: 4,
    max_C: 11,
    wind_ms: 2,
    rain_mm: 0,
    flying_h: 0,
  }));
  const weather = entry('weatherRecorded', '2026-05-30', { yard: id, days });
  const logged = await request.post('/api/events', {
    data: { entries: [...entries, weather], synced: false },
  });
  expect(await logged.json()).toMatchObject({ toSettle: [] });
  return { id, boxes };
}

const list = (page: Page) => page.getByRole('complementary', { name: 'Before winter' });
const row = (page: Page, label: string) => list(page).getByRole('row').filter({ hasText: label });
const plan = (page: Page) => page.getByRole('region', { name: 'The plan' });
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' }).click();

/** Taken up, carried on by one key, put down: each is done before the next, as a person would wait to see it. */
async function carry(thing: Locator, key: string, over: string): Promise<void> {
  const page = thing.page();
  const moved = page.locator('[style*="translate"]');
  await thing.focus();
  await page.keyboard.press('Space');
  await expect(moved).toHaveCount(1);
  await page.keyboard.press(key);
  await expect(moved).toHaveAttribute('style', /translate\(.*, -?[1-9]/);
  // Where it would come to lie is read out.
  await expect(page.getByText(new RegExp(` over ${over}\\.$`))).toBeAttached();
  await page.keyboard.press('Space');
}

test('a cavity is fitted frame by frame, overruled with a reason, booked, done in the yard, and undone', async ({
  page,
  request,
}) => {
  const yard = await autumnYard(request, { P1: 5, P2: 6, P3: undefined });
  await page.goto(`/winter?yard=${yard.id}`);
  await expect(row(page, 'P1')).toContainText('reduce to 6');
  await expect(row(page, 'P3')).toContainText('look: count its seams');
  await list(page).getByRole('link', { name: 'P1', exact: true }).click();
  const fitted = page.getByRole('list', { name: 'Frames of P1 for winter' });
  // North warms here: of a front to the north the west is at the right, and the heaviest stands there.
  await expect(page.getByText('sun side, west').first()).toBeVisible();
  await expect(fitted.getByRole('listitem')).toHaveCount(6);
  await expect(fitted.getByRole('listitem').last()).toContainText('2');
  await expect(page.getByRole('row', { name: /^dwindles/ })).toContainText(/\d+ %/);

  // The bees are at the right, the follower at the left of them: carried down to where a frame stands, that one comes out.
  await carry(page.getByRole('button', { name: 'Follower: carry' }), 'ArrowDown', 'frame \\d+');
  await expect(fitted.getByRole('listitem')).toHaveCount(5);
  await page.getByRole('button', { name: 'As the rules have it' }).click();
  await expect(fitted.getByRole('listitem')).toHaveCount(6);

  // By keyboard a frame is carried to another place; by its choice one comes out against the rule.
  await carry(fitted.getByRole('button', { name: /^Frame 2, place 6/ }), 'ArrowUp', 'frame (?!2\\b)\\d+');
  await expect(fitted.getByRole('button', { name: /^Frame 2, place 5/ })).toBeVisible();
  await page.getByLabel('Frame 7: stays, is turned, or comes out').selectOption('out');
  await expect(fitted.getByRole('listitem')).toHaveCount(5);
  const book = plan(page).getByRole('button', { name: 'Book it for P1' });
  await expect(book).toBeDisabled();
  await plan(page)
    .getByLabel(/frame 7 comes out against the rule/)
    .fill('Old comb, to be melted');
  await book.click();
  await expect(plan(page)).toContainText('5 frames stay, a follower beside them');
  await expect(plan(page)).toContainText('Old comb, to be melted');

  // It is work in the yard, and leads back here.
  await page.goto(`/yard/${yard.id}?box=${yard.boxes.get('P1')?.box}`);
  const slip = page.getByRole('complementary', { name: 'Slip' });
  await slip.getByRole('button', { name: /Prepare for winter, 31 May/ }).click();
  await expect(slip).toContainText('Reduce: 5 frames stay, a follower beside them. Planned 31 May.');
  await slip.getByRole('button', { name: 'To the plan' }).click();
  await plan(page).getByRole('button', { name: 'Done as planned' }).click();
  // The follower parts the box: the bees keep their five frames, and a brood frame of theirs came out with a reason.
  await expect(row(page, 'P1')).toContainText('prepared');
  const standing = async () => {
    const boxes = await (await request.get(`/api/boxes/${yard.boxes.get('P1')?.box}`)).json();
    return JSON.stringify(boxes);
  };
  await expect.poll(standing).toContain('"kind":"follower"');
  await undo(page);
  await expect.poll(standing).not.toContain('"kind":"follower"');
  await expect(row(page, 'P1')).not.toContainText('prepared');
});

test('a whole yard is worked out, taken as plans of all, and taken back at once', async ({
  page,
  request,
}) => {
  const yard = await autumnYard(request, { Q1: 5, Q2: 4.5, Q3: 2, Q4: 6, Q5: undefined });
  await page.goto(`/winter?yard=${yard.id}`);
  const whole = page.getByRole('region', { name: 'The whole yard' });
  await whole.getByRole('button', { name: 'Work it out' }).click();
  await expect(whole.getByText(/of 4 in spring with 3 seams or more/).first()).toBeVisible();
  await expect(whole).toContainText('1 not counted, and left out');
  await whole.getByRole('button', { name: 'See second best' }).click();
  await expect(whole.getByText('Second best')).toBeVisible();
  await whole.getByRole('button', { name: 'See the best' }).click();
  await whole.getByRole('button', { name: 'Take this plan' }).click();
  await expect(list(page).getByText('4 of 5')).toBeVisible();
  await undo(page);
  await expect(list(page).getByText('0 of 5')).toBeVisible();
});

test('from June on, in the south, the yard is watched: who is not known is hefted or looked at', async ({
  page,
  request,
}) => {
  const yard = await autumnYard(request, { S1: 6, S2: undefined });
  await page.goto(`/winter?yard=${yard.id}&on=2026-06-20`);
  const watched = page.getByRole('complementary', { name: 'In winter' });
  await expect(watched).toContainText('This week:');
  await expect(watched.getByRole('row').filter({ hasText: 'S2' })).toContainText('look on a mild day');
  await watched.getByRole('link', { name: 'S1', exact: true }).click();
  await expect(
    page.getByText('Its stores are not known this winter: heft it, without opening.'),
  ).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('winter is a list, a colony is opened, fed, and stands as planned', async ({ page, request }) => {
    const yard = await autumnYard(request, { R1: 6.5, R2: 5 });
    await page.goto(`/winter?yard=${yard.id}`);
    await expect(page.getByRole('heading', { level: 1, name: /^Winter in South/ })).toBeInViewport();
    await list(page).getByRole('link', { name: 'R1', exact: true }).tap();
    await expect(page.getByRole('list', { name: 'Frames of R1 as they are' })).toBeVisible();
    await plan(page).getByLabel('What is done').selectOption('feed');
    await plan(page).getByRole('button', { name: 'Book it for R1' }).tap();
    await expect(plan(page)).toContainText('Planned');
    // On its sheet it is ticked in walking order, and gone from it.
    await page.getByRole('link', { name: 'Sheet' }).tap();
    await expect(page.getByRole('heading', { level: 1, name: /^Winter sheet/ })).toBeVisible();
    await page.getByRole('button', { name: 'R1: done as planned' }).tap();
    await expect(page.getByText('Nothing is planned, or all of it is done.')).toBeVisible();
    await page.getByRole('link', { name: 'Back to Winter' }).tap();
    await expect(row(page, 'R1')).toContainText('prepared');
  });
});
