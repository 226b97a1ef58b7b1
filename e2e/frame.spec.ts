import { expect, test } from '@playwright/test';

test.describe('every screen', () => {
  test('is walked by keys, which ? lists', async ({ page }) => {
    await page.goto('/yard');
    await expect(page.getByRole('heading', { name: 'Quarry meadow' }).first()).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog').getByText('A week back, a week on')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('5');
    await expect(page.getByRole('heading', { name: 'Take rate' })).toBeVisible();
    await page.keyboard.press('1');
    await expect(page.getByRole('heading', { name: 'Designs' })).toBeVisible();
    await page.keyboard.press('3');
    await expect(page.getByRole('heading', { level: 1, name: 'Rounds' })).toBeVisible();
    await page.keyboard.press('4');
    await expect(page.getByRole('heading', { level: 1, name: /^Winter in/ })).toBeVisible();
  });

  test('finds a box from the quick line', async ({ page }) => {
    await page.goto('/ledger');
    await expect(page.getByRole('heading', { name: 'Take rate' })).toBeVisible();
    await page.keyboard.press('/');
    await page.getByRole('combobox').fill('b7');
    await page.getByRole('option', { name: /B7/ }).first().click();
    await expect(page.getByRole('heading', { name: 'B7' })).toBeVisible();
    await page.keyboard.press('/');
    await page.getByLabel(/^Find a box/).fill('zzz');
    await expect(page.getByText('Nothing is called “zzz”.')).toBeVisible();
  });

  test('shows lengths in inches where the breeder wants them, and keeps the look on the device', async ({
    page,
  }) => {
    await page.goto('/bench/new');
    const setUnits = async (value: string) => {
      await page.getByRole('button', { name: 'Settings' }).click();
      await page.getByLabel('Lengths').selectOption(value);
      await page.getByLabel('Look, on this device').selectOption('yard');
      await page.getByRole('button', { name: 'Save', exact: true }).click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    };
    await setUnits('inch');
    await expect(page.getByText('1/2 in to spare').first()).toBeVisible();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'yard');
    await setUnits('mm');
    await expect(page.getByText('13.3 mm to spare').first()).toBeVisible();
  });

  test('shows weights, temperatures and days as the breeder reads them, on screen and in what is typed', async ({
    page,
  }) => {
    await page.goto('/yard');
    const setAll = async (set: string) => {
      await page.getByRole('button', { name: 'Settings' }).click();
      await page.getByRole('button', { name: set }).click();
      await page.getByRole('button', { name: 'Save', exact: true }).click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    };
    await setAll('All US');
    await expect(page.getByRole('slider', { name: 'Date shown' })).toHaveText('Sun May 31');
    await page.getByRole('button', { name: 'List' }).click();
    await page.getByRole('button', { name: /^B3 · Middle/ }).click();
    const line = page.getByLabel(/^Find a box/);
    await line.fill('b3 m fed 1 lb fondant 5/30');
    await expect(page.getByRole('button', { name: /B3 Middle, May 30: fed 1 lb of fondant/ })).toBeVisible();
    await line.press('Enter');
    await expect(page.getByText('1 lb of fondant, May 30')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('1 lb of fondant, May 30')).toHaveCount(0);
    await setAll('All metric');
    await expect(page.getByRole('slider', { name: 'Date shown' })).toHaveText('Sun 31 May');
  });

  test('of a yard in the south has its year from July, and takes its place as people write it', async ({
    page,
  }) => {
    await page.goto('/yard');
    await page.getByText('Add a yard').click();
    await page.getByLabel('Name').fill('Yonder hill');
    await page.getByLabel('Latitude').fill('41° 18′ S');
    await expect(page.getByText('Read as 41.30° south.')).toBeVisible();
    await page.getByLabel('Longitude').fill('174.8 E');
    await page.getByLabel('Time zone').fill('Pacific/Auckland');
    await page.getByRole('button', { name: 'Add the yard' }).click();
    await expect(page.getByRole('heading', { name: 'Yonder hill' }).first()).toBeVisible();
    // From the first of July to the last of May.
    await expect(page.getByRole('slider', { name: 'Date shown' })).toHaveAttribute('aria-valuenow', '334');
  });

  test('has the guide at hand: found by a word, its drawings and playbooks in it', async ({ page }) => {
    await page.goto('/yard');
    await page.getByRole('link', { name: 'Guide' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Guide' })).toBeVisible();
    const chapters = page.getByRole('navigation', { name: 'Chapters' });
    await expect(chapters.getByRole('link')).toHaveCount(13);
    await chapters.getByRole('searchbox').fill('respirator');
    await expect(chapters.getByRole('link', { name: 'Cautions' })).toBeVisible();
    await expect(chapters.getByRole('link', { name: 'Calendar' })).toHaveCount(0);
    await chapters.getByRole('searchbox').fill('');
    await page.getByText('Closed starter', { exact: true }).click();
    await expect(page.getByText(/The clock runs from now/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Two-format changer' })).toBeAttached();
    const line = page.getByLabel(/^Find a box/);
    await line.fill('queen bank');
    await page.getByRole('option', { name: 'Queen bank guide' }).click();
    await expect(page).toHaveURL(/\/guide#queen-bank$/);
    await expect(page.getByText(/every frame is looked through/).first()).toBeVisible();
  });

  test('at no address says so, and offers the way back', async ({ page }) => {
    await page.goto('/nowhere');
    await expect(page.getByText('There is nothing at this address')).toBeVisible();
    await page.goto('/bench/00000000-0000-4000-8000-000000000000');
    await expect(page.getByText('There is no such design.')).toBeVisible();
  });

  test('speaks to nobody but its own server, and breaks no rule of its content policy', async ({
    page,
    baseURL,
  }) => {
    const strangers: string[] = [];
    const standing: string[] = [];
    const complaints: string[] = [];
    page.on(
      'request',
      (request) =>
        request.url().startsWith(baseURL ?? '') ||
        request.url().startsWith('data:') ||
        strangers.push(request.url()),
    );
    page.on('request', (request) => /\/standing\?/.test(request.url()) && standing.push(request.url()));
    page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
    for (const path of ['/yard', '/bench', '/bench/new', '/ledger']) {
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      // What the page named beforehand is what the program asks for: it is fetched once.
      if (path === '/yard') expect(standing).toHaveLength(1);
    }
    expect({ strangers, complaints }).toEqual({ strangers: [], complaints: [] });
  });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the expected entry for a due compartment takes two taps', async ({ page }) => {
    await page.goto('/yard');
    await page.getByLabel('Only what is due').check();
    const due = page
      .getByRole('row')
      .filter({ hasText: 'Give a ripe cell' })
      .or(page.getByRole('row').filter({ hasText: /Look for eggs|Score|Check/ }));
    await due.first().getByRole('button').tap();
    await expect(page.getByRole('complementary', { name: 'Slip' })).toBeVisible();
    await expect(page.locator('.button-main').first()).toBeVisible();
    await page.getByRole('button', { name: 'Close the slip' }).tap();
    await expect(page.getByRole('complementary', { name: 'Slip' })).toBeHidden();
  });

  test('nothing runs off the side', async ({ page }) => {
    for (const path of ['/yard', '/bench', '/bench/new', '/ledger', '/rounds']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect({ path, over }).toEqual({ path, over: 0 });
    }
  });
});

test('a yard’s own figure is saved, followed, and put back', async ({ page }) => {
  await page.goto('/figures');
  await page.getByRole('searchbox', { name: 'Find' }).fill('softwood');
  const field = page.getByRole('textbox', { name: 'Conductivity of softwood' });
  await field.fill('9');
  await expect(page.getByRole('alert')).toContainText('outside 0.01 to 5');
  await field.fill('0.2');
  await field.press('Enter');
  await expect(page.getByText('1 of them is your own')).toBeVisible();
  await page.reload();
  await page.getByRole('searchbox', { name: 'Find' }).fill('softwood');
  await expect(page.getByRole('textbox', { name: 'Conductivity of softwood' })).toHaveValue('0.2');
  await page.getByRole('button', { name: 'Put back: Conductivity of softwood' }).click();
  await expect(page.getByText('All stand at their defaults')).toBeVisible();
});
