import type { Browser, Locator, Page } from '@playwright/test';
import type { Stage } from '../stage.ts';
import type { Figure } from './figure.ts';

/** How much slower the processor is made than this machine's. */
const SLOWED = 4;
const ANSWER_MS = 100;
const REST_SHARE = 10;
const REST_S = 10;
const MOST_TAPS = 6;
const HAND_MS = 300;
const HELD_MS = 60;
const SETTLED_MS = 6_000;
const against = 'the limit, a processor slowed four times';

/**
 * How soon what is pressed answers on a slow laptop, and on a walk on a slow phone: from the pointer going up until what
 * was asked for stands on the page and is laid out. Painting it is not counted, nor the wait for what was painted before:
 * a browser without a screen does that by the processor, where a laptop has its own chip for it.
 * A place is asked for when its program has come once.
 */
export async function answerFigures(browser: Browser, stage: Stage): Promise<Figure[]> {
  return [...(await onALaptop(browser, stage)), ...(await onAWalk(browser, stage))];
}

async function onALaptop(browser: Browser, stage: Stage): Promise<Figure[]> {
  const page = await slowPage(browser, { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.goto(`${stage.url}/yard?view=map`);
  await page.waitForLoadState('networkidle');
  // What is pressed first is fetched while the screen rests.
  await page.waitForTimeout(SETTLED_MS);
  const room = (between: string) => (name: string) =>
    answered(
      page,
      page.getByRole('button', { name: new RegExp(`^${name.replace(' ', between)}`) }).first(),
      name.replace(' ', ' · '),
    );
  const onMap = await each(['B1 West', 'B3 Middle', 'B4 Mid-east', 'N2 West', 'B1 East'], room(' '));
  await page.goto(`${stage.url}/yard?view=list`);
  await page.waitForLoadState('networkidle');
  const inList = await each(['B1 West', 'B3 Middle', 'B2 East', 'B1 East'], room(' · '));

  await page.goto(`${stage.url}/bench/new`);
  await page.getByText(/best first$/).waitFor();
  const layers = page.getByRole('region', { name: 'The stack' }).getByRole('button');
  const layer = await each(LAYERS, (name) =>
    answered(page, layers.filter({ hasText: new RegExp(`^${name}`) }).first(), name),
  );

  const place = (name: string, heading: string) =>
    answered(page, page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }), heading);
  const round = async () => {
    const all: number[] = [];
    for (const [name, heading] of PLACES) {
      all.push(await place(name, heading));
      await page.waitForLoadState('networkidle');
    }
    return all;
  };
  await round();
  const places = await round();
  await page.context().close();
  return [
    usual('a room chosen on the map', onMap),
    usual('a room chosen in the list', inList),
    usual('a layer chosen on the bench', layer),
    usual('a place chosen', places),
  ];
}
const LAYERS = ['Roof', 'Floor', 'Roof', 'Floor'];
const PLACES = [
  ['Bench', 'Designs'],
  ['Rounds', 'Rounds'],
  ['Winter', 'Winter in'],
  ['Ledger', 'Take rate'],
  ['Yard', 'Quarry meadow'],
] as const;

async function onAWalk(browser: Browser, stage: Stage): Promise<Figure[]> {
  const page = await slowPage(browser, { viewport: { width: 390, height: 844 }, hasTouch: true });
  await page.goto(`${stage.url}/yard?view=today`);
  await page.getByRole('link', { name: 'Walk' }).tap();
  const place = await page.getByText(/^box 1 of/).textContent();
  const boxes = Number(/of (\d+)$/.exec(place ?? '')?.[1]);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(2_000);
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const busy_s = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? Number.NaN;
  };
  const before = await busy_s();
  await page.waitForTimeout(REST_S * 1_000);
  const share = (100 * ((await busy_s()) - before)) / REST_S;
  const taps: number[] = [];
  for (let box = 2; box <= Math.min(MOST_TAPS, boxes); box++)
    taps.push(
      await answered(
        page,
        page.getByRole('button', { name: /^(Nothing to do here|On): / }),
        `box ${box} of`,
        true,
      ),
    );
  await page.context().close();
  return [
    {
      ...usual('the walk at rest: what it takes of the processor', [share]),
      unit: '%',
      baseline: REST_SHARE,
      holds: share <= REST_SHARE,
      wanted: `at most ${REST_SHARE} %`,
    },
    usual('the walk: a tap on to the next box', taps),
  ];
}

/** What names a screen, a slip, or the place in a walk. */
const HEADS = 'h1, h2, h1 ~ span';

async function slowPage(browser: Browser, options: Parameters<Browser['newContext']>[0]): Promise<Page> {
  const context = await browser.newContext(options);
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  return page;
}

/** Milliseconds from the pointer going up on a thing until a heading of such a beginning is laid out; there must be none before. */
async function answered(page: Page, thing: Locator, text: string, tap = false): Promise<number> {
  await thing.waitFor();
  await thing.scrollIntoViewIfNeeded();
  const before = await page.locator(HEADS).allTextContents();
  if (before.some((each) => each.startsWith(text))) throw new Error(`“${text}” stands there already.`);
  // No named function within: the tool that reads TypeScript would mark it with a helper that the page has not.
  const shown = await page.evaluateHandle(
    ([wanted, heads]) => ({
      ms: new Promise<number>((done) => {
        addEventListener(
          'pointerup',
          ({ timeStamp }) => {
            const observer = new MutationObserver(() => {
              const found = [...document.querySelectorAll(heads)];
              const head = found.find(({ textContent }) => textContent?.startsWith(wanted));
              // Asking where it lies lays the page out.
              if (!head || head.getBoundingClientRect().width === 0) return;
              observer.disconnect();
              done(performance.now() - timeStamp);
            });
            observer.observe(document, { childList: true, characterData: true, subtree: true });
          },
          { once: true, capture: true },
        );
      }),
    }),
    [text, HEADS] as const,
  );
  // Pressed by the pointer alone: what a test's click looks at in the page on its way would be measured with it.
  const { x, y, width, height } = (await thing.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const at = [x + width / 2, y + height / 2] as const;
  if (!tap) await page.mouse.move(...at);
  // A hand comes to rest on what it presses, and holds it down for a moment.
  await page.waitForTimeout(HAND_MS);
  if (tap) await page.touchscreen.tap(...at);
  else {
    await page.mouse.down();
    await page.waitForTimeout(HELD_MS);
    await page.mouse.up();
  }
  const ms = await shown.evaluate(({ ms: until }) => until);
  await page.waitForTimeout(400);
  return ms;
}

async function each(names: readonly string[], ask: (name: string) => Promise<number>): Promise<number[]> {
  const all: number[] = [];
  for (const name of names) all.push(await ask(name));
  return all;
}

/** The middle one of several presses: others have the machine too. */
const usual = (what: string, times: readonly number[]): Figure => {
  const ours = times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;
  return {
    what:
      times.length > 1 ? `${what} (slowest of ${times.length}: ${Math.round(Math.max(...times))} ms)` : what,
    ours,
    baseline: ANSWER_MS,
    unit: 'ms',
    against,
    holds: ours <= ANSWER_MS,
    wanted: `at most ${ANSWER_MS} ms`,
  };
};
