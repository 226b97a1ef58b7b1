import { expect, type Page } from '@playwright/test';

/** A box built from a design of the demo, on a stand of its first yard. */
export async function buildBox(
  page: Page,
  label: string,
  design = 'Three-way, ten-frame body',
): Promise<void> {
  await page.goto('/yard?build=');
  const option = page.getByLabel('Design', { exact: true }).locator('option', { hasText: design });
  await page.getByLabel('Design', { exact: true }).selectOption((await option.getAttribute('value')) ?? '');
  await page.getByLabel('Label').fill(label);
  await page.getByRole('button', { name: 'Built, and on its stand' }).click();
  await expect(page.getByRole('heading', { name: label })).toBeVisible();
}

export const slip = (page: Page) => page.getByRole('complementary', { name: 'Slip' });
export const compartment = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(`^${name}:`) });

/** What comes before its time is kept with a reason. */
export async function insist(page: Page): Promise<void> {
  await page.getByLabel('Why it is done all the same').fill('All in one day, to try it.');
  await page.getByRole('button', { name: 'Do it all the same' }).click();
}
