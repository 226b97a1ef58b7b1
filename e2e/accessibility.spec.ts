import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

const SCREENS = [
  '/yard',
  '/yard?build=',
  '/bench',
  '/bench/start',
  '/bench/new',
  '/ledger',
  '/rounds',
  '/winter',
  '/nowhere',
];
const THEMES = [
  ['light', SCREENS],
  ['dark', SCREENS],
  ['yard', ['/yard', '/bench/new', '/ledger']],
] as const;

test.describe('accessibility', () => {
  for (const [theme, screens] of THEMES) {
    test(`no serious finding on any screen, ${theme}`, async ({ page }) => {
      test.setTimeout(120_000);
      await page.addInitScript((value) => localStorage.setItem('yc-theme', value), theme);
      for (const path of screens) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
        const { violations } = await new AxeBuilder({ page }).analyze();
        const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
        expect(
          serious.map(
            ({ id, nodes }) => `${path} ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
          ),
        ).toEqual([]);
      }
    });
  }

  test('no serious finding with a compartment, the list and the dialogs open', async ({ page }) => {
    const scan = async (what: string) => {
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(
        serious.map(
          ({ id, nodes }) => `${what} ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
        ),
      ).toEqual([]);
    };
    await page.goto('/yard');
    await page.getByRole('button', { name: /^B7 Middle:/ }).click();
    await scan('compartment');
    await page.getByRole('button', { name: 'List' }).click();
    await scan('list');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog').getByRole('heading')).toBeVisible();
    await scan('keys');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Settings' }).click();
    await expect(page.getByRole('dialog').getByRole('heading')).toBeVisible();
    await scan('settings');
  });
});
