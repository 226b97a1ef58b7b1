import { expect, test } from '@playwright/test';

test.describe('the bench', () => {
  test('draws a box to scale as its figures change, and saves it in versions', async ({ page }) => {
    await page.goto('/bench/new');
    await expect(page.getByText('13.3 mm to spare').first()).toBeVisible();
    await page.getByLabel('Name of the design').fill('My four-way');
    await page.getByRole('button', { name: 'More compartments' }).click();
    await page.getByRole('button', { name: 'Fewer frames, Right' }).click();
    await expect(page.getByText(/Impossible\./).first()).toBeVisible();
    await page.getByLabel('Thickness (mm)').fill('1/8 in');
    await page.getByRole('button', { name: 'Fewer frames, Mid-left' }).click();
    await page.getByRole('button', { name: 'Fewer frames, Mid-right' }).click();
    await expect(page.getByText(/Impossible\./)).toHaveCount(0);

    const divider = page.getByRole('slider', { name: /Divider 1/ });
    const before = await divider.getAttribute('aria-valuenow');
    await divider.focus();
    await page.keyboard.press('ArrowDown');
    expect(Number(await divider.getAttribute('aria-valuenow'))).toBeCloseTo(Number(before) + 0.5, 1);
    const box = await divider.boundingBox();
    if (!box) throw new Error('no divider');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 30, { steps: 6 });
    await page.mouse.up();
    expect(Number(await divider.getAttribute('aria-valuenow'))).toBeGreaterThan(Number(before) + 5);
    await page.getByRole('button', { name: 'Give all the same slack' }).click();
    expect(Number(await divider.getAttribute('aria-valuenow'))).toBeCloseTo(Number(before), 1);

    await page.getByRole('button', { name: 'Save the design' }).click();
    await expect(page.getByText('Saved “My four-way”, version 1.')).toBeVisible();
    await page.getByRole('button', { name: 'More frames, Left' }).click();
    await page.getByLabel('What changed, and why').fill('One more at the left');
    await page.getByRole('button', { name: 'Save as version 2' }).click();
    await expect(page.getByText('2. One more at the left')).toBeVisible();
    await page.goto('/bench');
    await expect(page.getByRole('link', { name: /My four-way.*version 2/ })).toBeVisible();
  });

  test('offers every layout of the body, and becomes the one chosen', async ({ page }) => {
    await page.goto('/bench/new');
    const strip = page.getByRole('region', { name: 'Layouts of this body' });
    await expect(strip.getByText(/\d+ fit/)).toBeVisible();
    await expect(strip.getByRole('button', { pressed: true })).toContainText('3 / 3 / 3');
    await strip.getByRole('button', { name: /^5 \/ 5 9.5 mm/ }).click();
    await expect(page.getByLabel('Number of compartments')).toHaveText('2');
    await expect(page.getByText('7.3 mm to spare').first()).toBeVisible();
    await page.getByLabel('Inside width (mm)').fill('60');
    await expect(strip.getByText(/^\d+ fit, in 1 way|No number of compartments/)).toBeVisible();
  });

  test('says by how much a typed place is impossible, and keeps what was typed through a reload', async ({
    page,
  }) => {
    await page.goto('/bench/new');
    await page.getByLabel('No. 2 from the left wall (mm)').fill('390');
    await expect(page.getByText('Divider 2 ends 26.5 mm outside the right wall.').first()).toBeVisible();
    await expect(page.getByText('The last drawing that could be')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the design' })).toBeDisabled();
    await page.getByLabel('Name of the design').fill('Half drawn');
    await page.reload();
    await expect(page.getByLabel('Name of the design')).toHaveValue('Half drawn');
    await expect(page.getByLabel('No. 2 from the left wall (mm)')).toHaveValue('390');
    await page.getByRole('button', { name: 'Throw changes away' }).click();
    await expect(page.getByLabel('Name of the design')).toHaveValue('');
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
    await expect(page.getByRole('group', { name: 'The box from above' }).getByText('190.5')).toBeVisible();
    await width.fill('19 cm');
    await expect(
      page.getByRole('group', { name: 'The box from above' }).getByText('190', { exact: true }),
    ).toBeVisible();
  });

  test('a version saved by another in between is shown with what it changed', async ({ page, request }) => {
    const designs = await (await request.get('/api/designs')).json();
    const { id, name, latest } = designs.find(
      (each: { name: string }) => each.name === 'Two-way, ten-frame body',
    );
    await page.goto(`/bench/${id}`);
    await page.getByLabel('Inside width (mm)').fill('376');
    const theirs = {
      basedOn: latest.number,
      name,
      version: {
        id: crypto.randomUUID(),
        content: { ...latest.content, depth: { mm: 250 } },
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
