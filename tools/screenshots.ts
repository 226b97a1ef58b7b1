import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { buildIfChanged } from './build.ts';
import { chromiumFlags, chromiumPath, ensureChromium } from './chromium.ts';
import { root } from './root.ts';
import { main } from './said.ts';
import { setStage } from './stage.ts';

interface Shot {
  name: string;
  path: string;
  phone?: boolean;
  theme?: 'light' | 'dark' | 'yard';
  before?: (page: Page) => Promise<void>;
}

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const compartment = (name: string) => (page: Page) =>
  page.getByRole('button', { name: new RegExp(`^${name}:`) }).click();

const design = (name: RegExp) => async (page: Page) => {
  await page.getByRole('link', { name }).click();
  await page.getByRole('region', { name: 'Checks' }).getByText(/hold$/).waitFor();
};

/** A view of the three-way body as it is built. */
const built = (view: string, then: (page: Page) => Promise<void>) => async (page: Page) => {
  await design(/Three-way, ten-frame body/)(page);
  await page.getByRole('link', { name: 'Build it' }).click();
  await page.getByRole('button', { name: view, exact: true }).click();
  await then(page);
};
/** One current picture of each main view, made from the demo on its pinned day. */
const shots: readonly Shot[] = [
  { name: 'designs', path: '/bench' },
  { name: 'bench', path: '/bench', before: design(/Four-way, ten-frame body/) },
  {
    name: 'bench-danger',
    path: '/bench',
    before: async (page) => {
      await design(/Donor holding box/)(page);
      await page
        .getByRole('slider', { name: /Divider 1/ })
        .first()
        .click();
      await page.getByLabel('Below body (mm)').fill('0');
      await page.getByRole('button', { name: 'done' }).click();
      await page.getByText(/A queen can walk under/).waitFor();
    },
  },
  {
    name: 'who-can-go-where',
    path: '/bench',
    before: async (page) => {
      await design(/All-in-one rearing box/)(page);
      await page.getByRole('button', { name: 'Who can go where' }).click();
      const slip = page.getByRole('complementary', { name: 'Who can go where' });
      await slip.getByRole('button', { name: 'Left' }).click();
      await slip.getByRole('button', { name: 'virgin' }).click();
      await slip.getByRole('button', { name: 'Right' }).first().click();
    },
  },
  {
    name: 'warmth',
    path: '/bench?on=2026-01-15',
    before: async (page) => {
      await design(/Three-way, ten-frame body/)(page);
      await page.getByRole('button', { name: 'Warmth', exact: true }).click();
      // Worked out beside the page.
      await page.getByRole('row', { name: /^As drawn .*W\/K/ }).waitFor();
    },
  },
  {
    name: 'sheets',
    path: '/bench',
    before: built('Sheets', async (page) => {
      for (let more = 0; more < 3; more++) await page.getByRole('button', { name: 'More boxes' }).click();
      await page
        .getByRole('button', { name: 'Stop, this will do' })
        .waitFor({ state: 'hidden', timeout: 90_000 });
      await page
        .getByRole('img', { name: /^A sheet of / })
        .first()
        .waitFor();
    }),
  },
  {
    name: 'rounds',
    path: '/rounds',
    // Its odds are played beside the page.
    before: (page) =>
      page.getByRole('region', { name: 'Queens wanted' }).getByText(/\d %$/).first().waitFor(),
  },
  { name: 'yard', path: '/yard', before: compartment('B7 Middle') },
  {
    name: 'yard-live',
    path: '/yard',
    before: async (page) => {
      await compartment('B7 Middle')(page);
      await page.getByRole('heading', { name: /^B7/ }).getByRole('button').click();
      await page.getByRole('button', { name: 'Pull it' }).first().click();
      await page.getByText(/become one/).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'yard-frames',
    path: '/yard',
    before: async (page) => {
      await page
        .getByRole('button', { name: /: proven since/ })
        .first()
        .press('Enter');
      await page.getByRole('link', { name: /one by one/ }).click();
      await page
        .getByRole('img', { name: /sealed brood/ })
        .first()
        .waitFor();
    },
  },
  {
    name: 'queen',
    path: '/yard',
    before: async (page) => {
      await page
        .getByRole('button', { name: /: proven since/ })
        .first()
        .press('Enter');
      await page.getByRole('complementary', { name: 'Slip' }).getByRole('link', { name: /No\./ }).click();
      await page.getByText('Her story').waitFor();
    },
  },
  {
    name: 'quick-line',
    path: '/yard',
    before: async (page) => {
      // What is typed goes before what is drawn a moment later: the map stands first.
      await page.getByRole('button', { name: /^B7 / }).first().waitFor();
      await page.keyboard.press('/');
      await page.keyboard.type('b7 w 3 seams q seen yesterday bananas, m eggs 85');
      await page.getByText(/is not understood/).waitFor();
    },
  },
  {
    name: 'many-at-once',
    path: '/yard',
    before: async (page) => {
      await page.getByRole('link', { name: 'Many at once' }).click();
      await page.getByRole('link', { name: /^Feed/ }).click();
      await page.getByRole('button', { name: /^All/ }).click();
    },
  },
  {
    name: 'playbook',
    path: '/yard',
    before: async (page) => {
      await page.getByRole('button', { name: /^X1 Whole:/ }).click();
      await page.getByRole('button', { name: 'Closed starter…' }).click();
      await page.getByRole('button', { name: 'Begin: Closed starter' }).click();
      await page.getByRole('button', { name: 'Done', exact: true }).click();
      for (const frame of [1, 2, 3])
        for (const side of ['one side', 'the other'])
          await page.getByRole('button', { name: `Frame ${frame}, ${side}` }).click();
      await page.getByRole('button', { name: 'Done', exact: true }).click();
      for (let shakes = 0; shakes < 7; shakes++)
        await page.getByRole('button', { name: /^A frame shaken in/ }).click();
    },
  },
  { name: 'guide', path: '/guide#boxes-by-what-they-are-for' },
  { name: 'yard-phone', path: '/yard', phone: true, theme: 'yard' },
  {
    name: 'walk-phone',
    path: '/yard?view=today',
    phone: true,
    before: (page) => page.getByRole('link', { name: 'Walk' }).click(),
  },
  { name: 'ledger', path: '/ledger' },
  // Last, since the demo’s clock is not turned back.
  {
    name: 'winter',
    path: '/winter',
    before: async (page) => {
      const { demoDays } = await (await page.request.get(new URL('/api/session', page.url()).href)).json();
      await page.request.put(new URL('/api/demo/clock', page.url()).href, { data: { day: demoDays[0] } });
      await page.reload();
      await page.getByRole('list', { name: 'Frames of B1 for winter' }).waitFor();
    },
  },
];

await main(async () => {
  ensureChromium();
  buildIfChanged();
  const folder = join(root, 'docs', 'screenshots');
  mkdirSync(folder, { recursive: true });
  const stage = await setStage();
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumFlags });
  try {
    for (const { name, path, phone = false, theme = 'light', before } of shots) {
      const page = await browser.newPage({
        viewport: phone ? PHONE : DESK,
        locale: 'en-GB',
        timezoneId: 'Europe/Vienna',
        reducedMotion: 'reduce',
      });
      await page.addInitScript((value) => localStorage.setItem('yc-theme', value), theme);
      await page.goto(stage.url + path);
      await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
      await before?.(page);
      await page.waitForLoadState('networkidle');
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await page.close();
      console.log(`docs/screenshots/${name}.png`);
    }
  } finally {
    await browser.close();
    await stage.close();
  }
});
