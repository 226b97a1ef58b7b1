import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';

const SCREENS = [
  '/yard',
  '/yard?build=',
  '/bench',
  '/bench/start',
  '/bench/new',
  '/ledger',
  '/rounds',
  '/rounds/week',
  '/winter',
  '/winter/sheet',
  '/nowhere',
];
const THEMES = [
  ['light', [...SCREENS, '/workshop']],
  ['dark', ['/yard', '/bench/new', '/ledger', '/bench/start']],
  ['yard', ['/yard', '/bench/new']],
] as const;

/** What a theme can break is its contrast; the rest was looked at in the light one. */
const THEMED = ['color-contrast'];

async function expectNoSerious(page: Page, what: string, rules?: string[]): Promise<void> {
  // No screen has frames within it: the scan of one document says all, in half the time.
  const scan = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  const { violations } = await (rules ? scan.withRules(rules) : scan).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(
      ({ id, nodes }) => `${what} ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
    ),
  ).toEqual([]);
}

test.describe('accessibility', () => {
  for (const [theme, screens] of THEMES) {
    test(`no serious finding on any screen, ${theme}`, async ({ page }) => {
      await page.addInitScript((value) => localStorage.setItem('yc-theme', value), theme);
      for (const path of screens) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
        await expect(page).toHaveTitle(/.+ · Yellow Cell$/);
        await expectNoSerious(page, path, theme === 'light' ? undefined : THEMED);
      }
    });
  }

  test('no serious finding with a compartment, the list and the dialogs open', async ({ page }) => {
    const scan = (what: string) => expectNoSerious(page, what);
    await page.goto('/bench');
    await page.getByRole('link', { name: /Three-way, ten-frame body/ }).click();
    await page.getByRole('link', { name: 'Build it' }).click();
    for (const view of ['Parts', 'Steps', 'Weight and cost', 'Files']) {
      await page.getByRole('button', { name: view, exact: true }).click();
      await scan(view);
    }
    await page.goto('/figures');
    await page.getByRole('searchbox', { name: 'Find' }).fill('softwood');
    await scan('figures');
    await page.goto('/yard');
    await page.getByRole('button', { name: /^B7 Middle:/ }).click();
    await scan('compartment');
    await page
      .getByRole('link', { name: 'Frames', exact: true })
      .or(page.getByRole('link', { name: /one by one/ }))
      .first()
      .click();
    await page
      .getByRole('button', { name: /^Look through B7/ })
      .first()
      .click();
    await scan('frames');
    await page.goto('/settle');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await scan('settle');
    await page.goto('/yard');
    await page.getByRole('link', { name: 'Season' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await scan('season');
    await page.goto('/yard');
    await page.getByRole('button', { name: 'List' }).click();
    await scan('list');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog').getByRole('heading')).toBeVisible();
    await scan('keys');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Settings' }).click();
    await expect(page.getByRole('dialog').getByRole('heading', { name: 'Settings' })).toBeVisible();
    await scan('settings');
  });

  for (const [theme, long] of [
    ['light', ''],
    ['dark', ' @long'],
    ['yard', ' @long'],
  ] as const)
    test(`no serious finding on a phone: many at once, a walk, a playbook, ${theme}${long}`, async ({
      page,
    }) => {
      await page.setViewportSize({ width: 390, height: 844 });
      await page.addInitScript((value) => localStorage.setItem('yc-theme', value), theme);
      const scan = (what: string) => expectNoSerious(page, what, theme === 'light' ? undefined : THEMED);
      await page.goto('/yard?view=today');
      await expect(page.getByRole('link', { name: 'Walk' })).toBeVisible();
      await scan('today');
      await page.getByRole('link', { name: 'Walk' }).click();
      await expect(page.getByText(/^box 1 of/)).toBeVisible();
      await scan('walk');
      await page.goto('/yard');
      await page.getByRole('button', { name: 'More of this yard' }).click();
      await page.getByRole('link', { name: 'Many at once' }).click();
      await page.getByLabel('What is entered').first().selectOption('feed');
      await page.getByRole('button', { name: /^All/ }).click();
      await scan('many');
      if (theme !== 'light') return;
      await page.goto('/yard');
      await page.getByLabel(/^Find a box/).fill('V1');
      await page.getByRole('option', { name: /^V1\b/ }).first().click();
      await page
        .getByRole('complementary')
        .getByRole('button', { name: /^Nucleus / })
        .first()
        .click();
      await page.getByRole('button', { name: 'Lift frames to be seen…' }).click();
      await scan('begin');
      await page.getByRole('button', { name: 'Begin: Lift frames to be seen' }).click();
      await expect(page.getByRole('heading', { level: 1, name: 'Lift frames to be seen' })).toBeVisible();
      await scan('playbook');
      await page.getByRole('button', { name: 'Give it up…' }).click();
      await page.getByLabel('Why it is given up').fill('To look at it.');
      await page.getByRole('button', { name: 'Give it up', exact: true }).click();
      await expect(page.getByText(/It stays in the record/)).toBeVisible();
    });

  test('no serious finding on the bench, whatever it shows', async ({ page }) => {
    const scan = (what: string) => expectNoSerious(page, what);
    await page.goto('/bench');
    await page.getByRole('link', { name: /Donor holding box/ }).click();
    await page
      .getByRole('slider', { name: /Divider 1/ })
      .first()
      .press('Enter');
    await page.getByText('Limits', { exact: true }).click();
    await page.getByText('What holds, and why').click();
    await page.getByText(/^Material, walls/).click();
    await scan('a divider chosen');
    await page.getByRole('button', { name: 'Pulling its dividers' }).click();
    await page.getByRole('button', { name: 'Who can go where' }).click();
    await scan('who can go where');
    await page.getByRole('button', { name: 'Air', exact: true }).click();
    await scan('air');
    await page.getByRole('button', { name: 'Warmth', exact: true }).click();
    await scan('warmth');
    await page.getByRole('button', { name: 'Box', exact: true }).click();
    await page.getByRole('link', { name: 'Compare' }).click();
    await expect(page.getByRole('heading', { name: /What differs/ })).toBeVisible();
    await scan('compare');
  });
});
