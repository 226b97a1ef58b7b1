import { expect, test } from '@playwright/test';

test('queens are wanted, a round is planned for them, moved, grafted, counted and carried on', async ({
  page,
}) => {
  await page.goto('/rounds');
  const slip = page.getByRole('complementary', { name: 'Slip' });
  await slip.getByRole('button', { name: 'Queens wanted…' }).click();
  await slip.getByLabel('For').fill('Order of thirty');
  await slip.getByLabel('Queens (how many)').fill('30');
  await slip.getByLabel('By', { exact: true }).fill('2026-08-20');
  await slip.getByRole('button', { name: 'Wanted', exact: true }).click();
  const lot = slip.getByRole('listitem').filter({ hasText: 'Order of thirty' });
  await expect(lot).toContainText('30 queens by 20 Aug');
  const before = await lot.locator('strong').last().textContent();

  await slip.getByRole('button', { name: 'Plan a round…' }).click();
  await slip.getByLabel('The last of them ready by').fill('2026-06-20');
  await expect(slip.getByText(/That is too late: grafted today/)).toBeVisible();
  await slip.getByLabel('The last of them ready by').fill('2026-08-18');
  await slip.getByLabel('Queens (how many)').fill('30');
  await expect(slip.getByText(/ripe cells, \d+ grafts: by your record/)).toBeVisible();
  await slip.getByLabel('Donor').fill('Sable');
  await slip.getByRole('button', { name: 'Plan it' }).click();
  await expect(lot.locator('strong').last()).not.toHaveText(before ?? '');

  const row = page.getByRole('button', { name: /^Round 7, planned, Sable/ });
  await row.click();
  const graft = page.getByRole('slider', { name: 'Graft of round 7' });
  const day = await graft.getAttribute('aria-valuetext');
  await graft.focus();
  await graft.press('ArrowLeft');
  await graft.press('ArrowLeft');
  await expect(page.getByText(/^Moved to/)).toBeVisible();
  await graft.press('Enter');
  await expect(page.getByText(/^Moved to/)).toHaveCount(0);
  await expect(graft).not.toHaveAttribute('aria-valuetext', day ?? '');
  await page.reload();
  await expect(graft).not.toHaveAttribute('aria-valuetext', day ?? '');

  // Its cells are started step by step in a box that serves for it.
  await slip.getByRole('button', { name: 'Start them step by step…' }).click();
  await slip
    .getByRole('link', { name: /Closed starter/ })
    .first()
    .click();
  await expect(page.getByLabel('Of round').locator('option:checked')).toHaveText(/^Round 7, Sable/);
  await page.goBack();

  await slip.getByRole('button', { name: 'Grafted today…' }).click();
  await slip.getByLabel('Larvae grafted').fill('44');
  await slip.getByRole('button', { name: 'Grafted', exact: true }).click();
  await expect(slip.getByRole('heading', { name: 'Round 7 · grafted' })).toBeVisible();
  await slip.getByRole('button', { name: 'Count what is taken on…' }).click();
  await slip.getByLabel('Cells taken on').fill('36');
  await slip.getByRole('button', { name: 'Counted' }).click();
  await slip.getByRole('button', { name: 'Cells carried on…' }).click();
  await slip.getByRole('button', { name: 'Carried' }).click();
  // For a moment it may stand there twice, from this device and from the server.
  await expect(slip.getByText('36 cells to the finisher').first()).toBeVisible();
  await slip.getByRole('button', { name: 'Close the slip' }).click();
  await expect(slip.getByRole('button', { name: 'Plan a round…' })).toBeVisible();
});

test('the rest of a season is worked out as one plan, with what limits it, and taken as rounds', async ({
  page,
}) => {
  await page.goto('/rounds');
  const slip = page.getByRole('complementary', { name: 'Slip' });
  const plan = slip.getByRole('region', { name: 'The season as one plan' });
  await slip.getByRole('button', { name: 'Queens wanted…' }).click();
  await slip.getByLabel('For').fill('Autumn order');
  await slip.getByLabel('Queens (how many)').fill('12');
  await slip.getByLabel('By', { exact: true }).fill('2026-08-24');
  await slip.getByRole('button', { name: 'Wanted', exact: true }).click();
  await expect(
    plan.getByText(/To have every lot 9 times in 10, new\s+rounds are to give \d+ queens/),
  ).toBeVisible();
  await plan.getByText('How you work, and what it is worth').click();
  await plan.getByRole('button', { name: 'Sun' }).click();
  await plan.getByRole('button', { name: 'Work out the rounds' }).click();
  const rounds = plan.getByRole('list', { name: 'Rounds of the plan' });
  await expect(rounds.getByRole('listitem').first()).toContainText(/Graft \d+ \w+\s*\d+ cells?, \d+ grafts/);
  const odds = plan.getByRole('list', { name: 'Odds with it' });
  await expect(odds.getByRole('listitem').filter({ hasText: 'Autumn order by 24 Aug' })).toContainText(
    /\d %/,
  );
  // What is told beside the plan and what is told in it are one figure where the plan changes nothing.
  const first = slip.getByRole('region', { name: 'Queens wanted' }).getByRole('listitem').first();
  const chance = (await first.locator('strong').last().textContent()) ?? '';
  await expect(odds.getByRole('listitem').first()).toContainText(chance);
  await expect(
    plan.getByText(/come of (any of these:)? ?10 more rooms|10 more rooms from now on/),
  ).toBeVisible({
    timeout: 60_000,
  });
  await expect(plan.getByText(/to go…/)).toHaveCount(0, { timeout: 60_000 });
  // Another habit is held against it.
  await plan.getByRole('button', { name: 'Keep it to compare' }).click();
  await plan.getByLabel('Queens are taken').selectOption({ label: 'at their first sealed brood' });
  await expect(rounds).toHaveCount(0);
  await plan.getByRole('button', { name: 'Work out the rounds' }).click();
  await expect(plan.getByRole('row', { name: /^Autumn order by 24 Aug/ })).toHaveText(/%.*%/);
  await expect(plan.getByText(/to go…/)).toHaveCount(0, { timeout: 60_000 });
  const count = await rounds.getByRole('listitem').count();
  const before = await page.getByRole('button', { name: /^Round \d+, planned/ }).count();
  await plan.getByLabel('Donor', { exact: true }).fill('Sable');
  await plan.getByRole('button', { name: 'Plan these rounds' }).dblclick();
  await expect(page.getByRole('button', { name: /^Round \d+, planned/ })).toHaveCount(before + count);
  // One press takes all of them back.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Round \d+, planned/ })).toHaveCount(before);
});

test('what is planned is planned anew near to what people know, and the season before is played with other habits', async ({
  page,
}) => {
  await page.goto('/rounds');
  const plan = page.getByRole('region', { name: 'The season as one plan' });
  await plan.getByText('How you work, and what it is worth').click();
  await plan.getByLabel('Name').fill('Wren');
  await plan.getByLabel('Hours a week').fill('12');
  await plan.getByRole('button', { name: 'Works with' }).click();
  await expect(plan.getByRole('list', { name: 'Who works' })).toContainText('Wren, 12 h a week');
  await plan.getByRole('checkbox', { name: /may change, at the price/ }).check();
  await plan.getByRole('button', { name: 'Plan them anew' }).click();
  const rounds = plan.getByRole('list', { name: 'Rounds of the plan' });
  await expect(rounds.getByText(/^Round 5 /).first()).toBeVisible();
  const graft = page.getByRole('slider', { name: 'Graft of round 5' });
  const day = (await graft.getAttribute('aria-valuetext')) ?? '';
  await plan.getByRole('button', { name: 'Change the plan so' }).click();
  await expect(rounds).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(graft).toHaveAttribute('aria-valuetext', day);

  await plan.getByText('Last season, worked so').click();
  await plan.getByRole('button', { name: 'Play it with these habits' }).click();
  await expect(plan.getByRole('button', { name: 'Played' })).toBeVisible();
  await expect(plan.getByRole('row', { name: /^Queens in time/ })).toHaveText(/^Queens in time\d+\d+$/);
});

test('a round is grafted, counted and carried on by lines, asked about where it could be another, and undone', async ({
  page,
}) => {
  await page.goto('/rounds');
  const line = page.getByLabel(/^Find a box/);
  const panel = page.locator('#quick-panel');
  await line.fill('graft 45 from sable');
  await expect(panel).toContainText(/Round \d+: 45 grafts from “Sable”/);
  const name = /Round \d+/.exec((await panel.textContent()) ?? '')?.[0] ?? '';
  await line.press('Enter');
  const row = page.getByRole('button', { name: new RegExp(`^${name}, `) }).first();
  await expect(row).toBeVisible();
  await line.fill('accepted 46');
  await expect(panel).toContainText(`${name} has 45 grafts: 46 cannot be taken on.`);
  await line.fill('accepted 31');
  await line.press('Enter');
  // Several rounds have cells to be carried: which is asked, and nothing is kept before.
  await line.fill('cells to finisher F2');
  await expect(panel).toContainText('Of which round are these cells?');
  await panel.getByRole('button', { name: `${name}, Sable` }).click();
  await expect(panel).toContainText(`${name}: 31 cells to the finisher, F2`);
  await line.press('Enter');
  await row.click();
  await expect(page.getByText('31 cells to the finisher, F2').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('31 cells to the finisher, F2')).toHaveCount(0);
});

test('ripe cells lead from their round to the rooms that are ready for them', async ({ page }) => {
  await page.goto('/rounds');
  await page
    .getByRole('button', { name: /^Round 4, / })
    .first()
    .click();
  const slip = page.getByRole('complementary', { name: 'Slip' });
  await slip
    .getByRole('link', { name: /^Give them in/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Many at once' })).toBeVisible();
  await expect(page.getByLabel('From round').locator('option:checked')).toHaveText(/^Round 4, /);
});

test('the week is a sheet to take along: days in their order, what is overdue on the first', async ({
  page,
}) => {
  await page.goto('/rounds');
  await page.getByRole('link', { name: 'Week sheet' }).click();
  await expect(page.getByRole('heading', { name: /^The week in / })).toBeVisible();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(7);
  const first = page
    .getByRole('region')
    .filter({ has: page.getByRole('heading', { level: 2 }) })
    .first();
  await expect(first.getByRole('listitem').first()).toBeVisible();
  await expect(page.getByText(/, round 5/).first()).toBeVisible();
});

test('a line of the yard is read in winter too, and Escape leaves it, from its question as well', async ({
  page,
}) => {
  await page.goto('/winter');
  await expect(page.getByRole('heading', { level: 1, name: /^Winter in/ })).toBeVisible();
  const line = page.getByLabel(/^Find a box/);
  await line.fill('b7 hefted 24 kg');
  await expect(page.getByText('hefted at about 24 kg').first()).toBeVisible();
  await line.fill('b7 hefted');
  await line.press('Enter');
  await expect(page.getByText('How heavy is it?')).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await expect(line).toHaveValue('');
  await expect(page.getByText('How heavy is it?')).toHaveCount(0);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the season is a list of what is next, and winter one of colonies', async ({ page }) => {
    await page.goto('/rounds');
    await page.getByRole('button', { name: /Graft, round 5/ }).click();
    await expect(page.getByRole('heading', { name: 'Round 5 · planned' })).toBeInViewport();
    await page.goto('/winter');
    await expect(page.getByText(/colonies may still expand/)).toBeVisible();
    await page.goto('/winter?on=2025-08-31');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  });
});
