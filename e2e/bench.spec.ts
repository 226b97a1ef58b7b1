import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';

const slip = (page: Page) => page.getByRole('complementary', { name: 'The design' });
const checks = (page: Page) => page.getByRole('region', { name: 'Checks' });
const above = (page: Page) => page.getByRole('group', { name: 'The box from above' });
const divider = (page: Page, number = 1) =>
  above(page).getByRole('slider', { name: new RegExp(`Divider ${number}`) });

async function openDesign(page: Page, name: RegExp) {
  await page.goto('/bench');
  await page.getByRole('link', { name }).click();
  await expect(checks(page).getByText(/\d+ hold/)).toBeVisible();
}

test.describe('the bench', () => {
  test('draws a box to scale as its figures change, and saves it in versions', async ({ page }) => {
    await page.goto('/bench/new');
    await expect(page.getByText('13.3 mm to spare').first()).toBeVisible();
    await page.getByLabel(/Name of the design/).fill('My four-way');
    await page.getByRole('button', { name: 'More compartments' }).click();
    await page.getByRole('button', { name: 'Fewer frames, Right' }).click();
    await expect(
      slip(page)
        .getByText(/Impossible\./)
        .first(),
    ).toBeVisible();
    await page.getByLabel('Thickness of all dividers (mm)').fill('1/8 in');
    await page.getByRole('button', { name: 'Fewer frames, Mid-left' }).click();
    await page.getByRole('button', { name: 'Fewer frames, Mid-right' }).click();
    await expect(checks(page).getByText(/lies across/)).toHaveCount(0);
    await expect(slip(page).getByText(/Impossible\./)).toHaveCount(0);

    const before = Number(await divider(page).getAttribute('aria-valuenow'));
    await divider(page).focus();
    await page.keyboard.press('ArrowDown');
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(before + 0.5, 1);
    await page.keyboard.press('Shift+ArrowUp');
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(before - 4.5, 1);
    // Nudges that follow each other are one step to undo.
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(before, 1);
    await page.getByRole('button', { name: 'Redo', exact: true }).click();
    await page
      .getByRole('region', { name: 'Compartments' })
      .getByRole('button', { name: 'Give all the same slack' })
      .click();
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(before, 1);

    await page.getByRole('button', { name: 'Save the design' }).click();
    await expect(page.getByText('Saved “My four-way”, version 1.')).toBeVisible();
    await page.getByRole('button', { name: 'More frames, Left' }).click();
    await page.getByLabel('What changed, and why').fill('One more at the left');
    await page.getByRole('button', { name: 'Save as version 2' }).click();
    await expect(page.getByText('2. One more at the left')).toBeVisible();
    await page.getByRole('link', { name: 'Compare' }).click();
    await expect(page.getByText('The frames: 3/2/2/2 became 4/2/2/2.')).toBeVisible();
    await page.goto('/bench');
    await expect(page.getByRole('link', { name: /My four-way.*version 2/ })).toBeVisible();
  });

  test('a holding box is drawn from nothing by mouse, broken, and mended by its fix', async ({ page }) => {
    await page.goto('/bench/start');
    await page.getByLabel('inside, across (mm)').fill('240');
    await page.getByRole('button', { name: 'Fewer compartments wanted' }).click();
    await page.getByRole('button', { name: 'Draw the best' }).click();
    await expect(page.getByText('10.6 mm to spare').first()).toBeVisible();
    await page
      .getByLabel('Family, whose own rules it is held to')
      .selectOption({ label: 'Donor holding box' });
    // The left side holds her: an excluder in the divider, her entrances on vent.
    await slip(page).getByRole('button', { name: 'Left', exact: true }).click();
    await page.getByLabel('What lives here').selectOption({ label: 'A queen held inside' });
    await slip(page).getByRole('button', { name: 'Right', exact: true }).click();
    await page.getByLabel('What lives here').selectOption({ label: 'Stores' });
    await divider(page).click();
    await page.getByLabel('Kind').selectOption({ label: 'Excluder: workers pass' });
    await checks(page).getByRole('button', { name: 'Turn its disc to vent' }).click();
    await expect(checks(page).getByText(/nothing to look at/)).toBeVisible();
    // A lip that the divider does not reach down to.
    await page.getByLabel('Below body (mm)').fill('0');
    await expect(checks(page).getByText(/A queen can walk under the divider: 10 mm/)).toBeVisible();
    await expect(checks(page).getByText(/The queen held in Left can walk to Right/)).toBeVisible();
    await checks(page).getByRole('button', { name: 'Make it 10 mm deeper' }).click();
    await expect(checks(page).getByText(/nothing to look at/)).toBeVisible();
    // Dragged, it lets itself be caught by equal slack again.
    const at = Number(await divider(page).getAttribute('aria-valuenow'));
    const box = await divider(page).boundingBox();
    if (!box) throw new Error('no divider');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 30, { steps: 6 });
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeGreaterThan(at + 5);
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 0.4, { steps: 6 });
    await page.mouse.up();
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(at, 1);
  });

  test('the same by keyboard alone @long', async ({ page }) => {
    const press = async (key: string, times = 1) => {
      for (let count = 0; count < times; count++) await page.keyboard.press(key);
    };
    /** Tab until the focus is on what has this name. */
    const reach = async (name: RegExp) => {
      for (let steps = 0; steps < 160; steps++) {
        await page.keyboard.press('Tab');
        const found = await page.evaluate(() => {
          const at = document.activeElement;
          const label =
            at instanceof HTMLInputElement || at instanceof HTMLSelectElement
              ? (at.labels?.[0]?.textContent ?? '')
              : '';
          return `${at?.getAttribute('aria-label') ?? ''} ${label} ${at instanceof HTMLSelectElement ? '' : (at?.textContent ?? '')}`.trim();
        });
        if (name.test(found)) return;
      }
      throw new Error(`Tab never came to ${name}.`);
    };
    await page.goto('/bench/start');
    await reach(/^inside, across/);
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('240');
    await reach(/^Fewer compartments wanted/);
    await press('Enter');
    await reach(/^Draw the best/);
    await press('Enter');
    await expect(page.getByText('10.6 mm to spare').first()).toBeVisible();
    for (const [side, use] of [
      ['Left', 2],
      ['Right', 6],
    ] as const) {
      await reach(new RegExp(`^${side}$`));
      await press('Enter');
      await reach(/^What lives here$/);
      await press('ArrowDown', use);
    }
    await expect(page.getByLabel('What lives here')).toHaveValue('stores');
    await reach(/^Divider 1/);
    await press('ArrowDown', 3);
    expect(Number(await divider(page).getAttribute('aria-valuenow'))).toBeCloseTo(116.75, 1);
    await press('ArrowUp', 3);
    await press('Enter');
    await page.keyboard.type('Exc');
    await expect(page.getByLabel('Kind')).toHaveValue('excluder');
    await reach(/^Below body/);
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('0');
    await expect(checks(page).getByText(/A queen can walk under the divider: 10 mm/)).toBeVisible();
    await reach(/^Make it 10 mm deeper/);
    await press('Enter');
    await expect(checks(page).getByText(/can walk under/)).toHaveCount(0);
    await reach(/^Undo/);
    await press('Enter');
    await expect(checks(page).getByText(/can walk under/)).toBeVisible();
  });

  test('offers every layout of the body, and becomes the one chosen; pulling its dividers lists the holes to close', async ({
    page,
  }) => {
    await page.goto('/bench/new');
    const strip = page.getByRole('region', { name: 'Layouts of this body' });
    await expect(strip.getByText(/\d+ fit/)).toBeVisible();
    await expect(strip.locator('li button[aria-pressed="true"]')).toContainText('3 / 3 / 3');
    await strip.getByRole('button', { name: /^5 \/ 5 9.5 mm/ }).click();
    await expect(page.getByLabel('Number of compartments')).toHaveText('2');
    await expect(page.getByText('7.3 mm to spare').first()).toBeVisible();
    await strip.getByRole('button', { name: 'Pulling its dividers' }).click();
    await strip.getByRole('button', { name: /^10 close 2 holes/ }).click();
    await expect(strip.getByText('There is no divider to pull.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(strip.getByRole('button', { name: /^10 close 2 holes/ })).toBeVisible();
  });

  test('shows who can go where before any bees are at risk', async ({ page }) => {
    await openDesign(page, /Donor holding box/);
    await page.getByRole('button', { name: 'Who can go where' }).click();
    const reach = page.getByRole('complementary', { name: 'Who can go where' });
    await reach.getByRole('button', { name: 'Left', exact: true }).click();
    await reach.getByRole('button', { name: 'grafts' }).click();
    await reach.getByRole('button', { name: 'Right', exact: true }).click();
    await expect(reach.getByText('Nothing that a breeder need fear.')).toBeVisible();
    await reach.getByRole('button', { name: 'virgin' }).click();
    await reach
      .getByRole('button', { name: /^Right/ })
      .first()
      .click();
    await expect(reach.getByText(/Only an excluder parts a virgin/)).toBeVisible();
  });

  test('shows how it breathes and what it costs to keep warm, and what each change would bring', async ({
    page,
  }) => {
    await openDesign(page, /Three-way, ten-frame body/);
    await page.getByRole('button', { name: 'Warmth', exact: true }).click();
    const warmth = page.getByRole('complementary', { name: 'Warmth' });
    const outside = warmth.getByRole('slider', { name: /^Outside/ });
    await outside.fill('-8');
    await expect(warmth.getByText(/beside warm neighbours/).first()).toBeVisible();
    await expect(warmth.getByText(/about \d+ % of what they can keep up/).first()).toBeVisible();
    const walls = async (name: RegExp) =>
      Number.parseFloat(
        (await warmth.getByRole('row', { name }).getByRole('cell').nth(1).textContent()) ?? '',
      );
    // While it is reckoned anew, a row is without its figure.
    await expect(async () =>
      expect(await walls(/foam walls/)).toBeLessThan(await walls(/As drawn/)),
    ).toPass();
    await expect(warmth.getByRole('img', { name: /In spring .* kg left/ })).toBeVisible();
    const climate = (csv: string) =>
      warmth
        .getByLabel('Read a climate')
        .setInputFiles({ name: 'own.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await warmth.getByText(/^Climate:/).click();
    await climate('date;mean\n2025-01;3\n');
    await expect(warmth.getByText(/nothing for October/)).toBeVisible();
    await climate(
      `date,mean\n${['10', '11', '12', '01', '02', '03'].map((month) => `2025-${month},-12`).join('\n')}\n2025-03,9\n`,
    );
    await expect(warmth.getByRole('heading', { name: 'A winter in your climate' })).toBeVisible();
    await expect(warmth.getByText('1 row had a date that came before; the first counts.')).toBeVisible();
    // It is kept for the yard, and for all who look at it; a month is typed over, and the estimate comes back.
    await warmth.getByText('Type the months').click();
    await expect(warmth.getByLabel('Jan, minimum')).toHaveValue('-16');
    await warmth.getByLabel('Jan, minimum').fill('-14');
    await expect(warmth.getByRole('button', { name: 'Keep the months' })).toBeEnabled();
    await warmth.getByLabel('Jan, maximum').fill('-15');
    await expect(warmth.getByText(/Jan: two temperatures, the minimum not above/)).toBeVisible();
    await warmth.getByText(/^Hefts/).click();
    await warmth.getByLabel('Stores found, in kg').fill('9');
    await warmth.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(warmth.getByText(/By your hefts it uses \d+ % less than reckoned/)).toBeVisible();
    await warmth.getByRole('button', { name: 'back to the estimate' }).click();
    await expect(warmth.getByRole('heading', { name: /A winter as estimated/ })).toBeVisible();
    await page.getByRole('button', { name: 'Air', exact: true }).click();
    const air = page.getByRole('complementary', { name: 'Air' });
    await air.getByRole('slider', { name: /^Outside/ }).fill('30');
    // In an open box they keep it bearable; shut, they cannot.
    await expect(air.getByText(/^They fan/).first()).toBeVisible();
    await expect(air.getByText(/air about 36 °C beside them/).first()).toBeVisible();
    await air.getByLabel(/^Bees/).selectOption({ label: 'alarmed, or shut in warm' });
    await expect(air.getByText(/38 °C after|38 °C at once/).first()).toBeVisible();
    await expect(air.getByText(/Shut-in bees can die/)).toBeVisible();
  });

  test('lets a check stand with its reason, and keeps it with the design', async ({ page }) => {
    await openDesign(page, /Four-way, ten-frame body/);
    const stands = checks(page).getByText(/let stand, with/);
    await stands.click();
    await expect(
      checks(page)
        .getByText(/Four fit a ten-frame body only so/)
        .first(),
    ).toBeVisible();
    await checks(page).getByRole('button', { name: 'take that back' }).first().click();
    await expect(checks(page).getByText(/1 to look at/)).toBeVisible();
    await checks(page).getByRole('button', { name: 'let it stand…' }).click();
    await page.getByLabel('Why it may stand').fill('I lift slowly');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await stands.click();
    await expect(checks(page).getByText('I lift slowly')).toBeVisible();
    await page.reload();
    await stands.click();
    await expect(checks(page).getByText('I lift slowly')).toBeVisible();
    await page.getByRole('button', { name: 'Throw changes away' }).click();
  });

  test('goes out as a file and comes back whole, and refuses one that is damaged', async ({ page }) => {
    await openDesign(page, /Queen bank/);
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export' }).click();
    const path = await (await waiting).path();
    const text = readFileSync(path, 'utf8');
    await page.goto('/bench/start');
    const give = (content: string) =>
      page
        .getByLabel('Read a design file')
        .setInputFiles({ name: 'design.json', mimeType: 'application/json', buffer: Buffer.from(content) });
    await give(text.slice(0, -20));
    await expect(page.getByText('The file is damaged: it is not JSON.')).toBeVisible();
    await give(text.replace('"lip"', '"lips"'));
    await expect(page.getByText('content.floor.lips: There is no field “lips” here.')).toBeVisible();
    await give(text);
    await expect(page.getByLabel(/Name of the design/)).toHaveValue('Queen bank');
    await expect(above(page).getByText('bank', { exact: true })).toBeVisible();
  });

  test('says by how much a typed place is impossible, and keeps what was typed through a reload', async ({
    page,
  }) => {
    await page.goto('/bench/new');
    await divider(page, 2).press('Enter');
    await page.getByLabel('From left (mm)').fill('390');
    await expect(page.getByText('Divider 2 ends 26.5 mm outside the right wall.').first()).toBeVisible();
    await expect(page.getByText('The last drawing that could be')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the design' })).toBeDisabled();
    await page.getByLabel(/Name of the design/).fill('Half drawn');
    await page.reload();
    await expect(page.getByLabel(/Name of the design/)).toHaveValue('Half drawn');
    await expect(page.getByText('Divider 2 ends 26.5 mm outside the right wall.').first()).toBeVisible();
    await page.getByRole('button', { name: 'Throw changes away' }).click();
    await expect(page.getByLabel(/Name of the design/)).toHaveValue('');
  });

  test('takes lengths in any usual spelling, and says what it cannot read', async ({ page }) => {
    await page.goto('/bench/new');
    const width = page.getByLabel('Inside width (mm)');
    for (const [typed, says] of [
      ['0', 'must be above 0'],
      ['-5', 'cannot be below 0'],
      ['wide', 'is not a length'],
      ['12 parsecs', 'is not a unit'],
      ['1,250', 'two ways'],
    ] as const) {
      await width.fill(typed);
      await expect(page.getByText(says)).toBeVisible();
    }
    await width.fill('7 1/2"');
    await expect(above(page).getByText('190.5')).toBeVisible();
    await width.fill('19 cm');
    await expect(above(page).getByText('190', { exact: true })).toBeVisible();
  });

  test('a version saved by another in between is shown with what it changed', async ({ page, request }) => {
    const designs = await (await request.get('/api/designs')).json();
    const { id, name, latest } = designs.find(
      (each: { name: string }) => each.name === 'Two-way, ten-frame body',
    );
    await page.goto(`/bench/${id}`);
    await page.getByLabel('Inside width (mm)').fill('376');
    const [body, ...rest] = latest.content.layers;
    const theirs = {
      basedOn: latest.number,
      name,
      version: {
        id: crypto.randomUUID(),
        content: { ...latest.content, layers: [{ ...body, depth: { mm: 250 } }, ...rest] },
        note: 'Deeper',
      },
    };
    expect((await request.post(`/api/designs/${id}/versions`, { data: theirs })).ok()).toBe(true);
    await page.getByRole('button', { name: 'Save as version 2' }).click();
    await expect(page.getByText('The depth: 244 mm became 250 mm.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep mine, as version 3' }).click();
    await page.getByRole('button', { name: 'Save as version 3' }).click();
    await expect(page.getByText(/Saved “Two-way, ten-frame body”, version 3/)).toBeVisible();
  });
});

test('a box is built from its design: parts, sheets, steps ticked off, a build sheet', async ({ page }) => {
  await page.goto('/bench');
  await page
    .getByRole('link', { name: /Two-way nucleus/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Build it' }).click();
  await expect(page.getByText('All parts close')).toBeVisible();
  await page.getByRole('button', { name: /Divider/ }).click();
  await expect(page.getByRole('img', { name: /^Divider, / })).toBeVisible();

  await page.getByRole('button', { name: 'Sheets' }).click();
  await page.getByRole('button', { name: 'More boxes' }).click();
  await expect(page.getByRole('img', { name: /^A sheet of / }).first()).toBeVisible();
  await page.getByRole('button', { name: 'How many boxes does one sheet give?' }).first().click();
  await expect(page.getByText(/One sheet gives/).first()).toBeVisible();

  await page.getByRole('button', { name: 'Steps' }).click();
  await page.getByLabel('or begin a box called').fill('W7');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText(/W7: 0 of \d+ steps done/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'Glue up the body: done' }).click();
  await expect(page.getByText(/W7: 1 of \d+ steps done/)).toBeVisible();
  await expect(page.getByText(/not before/).first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'Glue up the body: done' }).click();
  await expect(page.getByText(/not before/)).toHaveCount(0);

  await page.getByRole('button', { name: 'In space' }).click();
  await expect(page.getByRole('region', { name: /The box in space/ }).locator('canvas')).toBeVisible();

  await page.getByRole('button', { name: 'Files' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF' }).click();
  expect((await download).suggestedFilename()).toBe('two-way-nucleus.pdf');
});
