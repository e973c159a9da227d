import { expect, test } from '@playwright/test';
import { open, setGrownUps, settled, starts } from './kitchen.js';

test.afterEach(async ({ page }) => {
    await open(page, '/feasts/1/guests');
    if ((await page.locator('[data-group="grown-ups"]').inputValue()) !== '18') {
        await setGrownUps(page, 18);
    }
});

test('twenty-eight guests become seventy: amounts, batches, pots, stores and start times follow', async ({ page }) => {
    const before = await starts(page);
    await open(page, '/feasts/1/stores');
    const milk = await page.getByRole('row', { name: /Whole milk/ }).locator('td').first().textContent();

    await open(page, '/feasts/1/guests');
    await expect(page.locator('[data-guests]')).toHaveText('28');
    await expect(page.locator('[data-dish=kesari] [data-need]')).toHaveText('2.32 kg');
    await expect(page.locator('[data-dish=kesari] .need-batches')).toHaveText('in one batch');
    await setGrownUps(page, 60);
    await expect(page.locator('[data-guests]')).toHaveText('70');
    await expect(page.locator('[data-dish=kesari] [data-need]')).toHaveText('5.93 kg');
    await expect(page.locator('[data-dish=kesari] .need-batches')).toHaveText('2 batches');
    await expect(page.locator('[data-dish=balls] [data-need]')).toHaveText('132 × ball');

    // Every dish is in time, or the page says which is not, and why.
    const moment = '18:00';
    for (const row of await page.locator('.needs > li').all()) {
        const dish = await row.getAttribute('data-dish');
        const ready = ((await row.locator('.need-ready').textContent()) ?? '').replace('ready ', '');
        if (ready === '' || ready > moment) {
            await expect(page.locator(`.trouble [data-late=${dish}]`)).toContainText(/\w{20,}|sooner|hold|time/);
        }
    }

    const after = await starts(page);
    expect(Object.keys(after).length).toBeGreaterThan(Object.keys(before).length);
    expect(after['basundi/1/boil']).not.toBe(before['basundi/1/boil']);
    await open(page, '/feasts/1/pots');
    await expect(page.locator('[data-dish=kesari] [data-batches]')).toHaveText('2 equal batches');
    await open(page, '/feasts/1/stores');
    await expect(page.getByRole('row', { name: /Whole milk/ }).locator('td').first()).not.toHaveText(milk ?? '');
});

test('a feast that cannot be in time says which sweet, how late, and what would help', async ({ page }) => {
    await open(page, '/feasts/1/guests');
    await setGrownUps(page, 110);
    const trouble = page.getByRole('alert');
    // What can't be in time is looked at longest before it is said.
    await expect(trouble.locator('[data-late]').first()).toContainText(/late|not in the plan/, { timeout: 30_000 });
    await expect(trouble.locator('[data-late]').first()).toContainText(/more|another|earlier|fewer|room/i);
    await expect(page.locator('[data-station=run_sheet]')).toContainText('not in time');
});

test('focus and what is being typed survive an answer', async ({ page }) => {
    await open(page, '/feasts/1/guests');
    const field = page.locator('[data-group="grown-ups"]');
    await field.focus();
    await settled(page, async () => {
        await field.fill('30');
        await page.keyboard.press('Tab');
    });
    await expect(page.locator('[data-guests]')).toHaveText('40');
    await expect(page.getByRole('textbox', { name: 'Appetite' }).first()).toBeFocused();
});

test('two changes in quick succession are both kept', async ({ page }) => {
    await open(page, '/feasts/1/guests');
    await page.locator('[data-group="grown-ups"]').fill('20');
    await page.locator('[data-group=elders]').fill('5');
    await page.locator('[data-group=children]').fill('7');
    await page.keyboard.press('Tab');
    await expect(page.locator('[data-guests]')).toHaveText('32');
    await page.reload();
    await expect(page.locator('[data-guests]')).toHaveText('32');
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await page.locator('[data-group=elders]').fill('4');
    await page.locator('[data-group=children]').fill('6');
    await page.keyboard.press('Tab');
    await expect(page.locator('[data-guests]')).toHaveText('30');
});

test('of two people at one feast, the second is told', async ({ page, context }) => {
    const other = await context.newPage();
    await open(other, '/feasts/1/guests');
    await open(page, '/feasts/1/guests');
    await setGrownUps(page, 19);
    await settled(other, async () => {
        await other.locator('[data-group=children]').fill('9');
        await other.keyboard.press('Tab');
    });
    await expect(other.locator('#guests-form > .fault').first()).toContainText('changed elsewhere while you worked');
    await page.reload();
    await expect(page.locator('[data-guests]')).toHaveText('29');
    await other.close();
});

for (const count of ['0', '-3', '2.5', '1000000000', 'many']) {
    test(`a count of ${count} is refused at its field, and nothing changes`, async ({ page }) => {
        await open(page, '/feasts/1/guests');
        await setGrownUps(page, count);
        const field = page.locator('[data-group="grown-ups"]');
        await expect(field).toHaveValue(count);
        await expect(field.locator('xpath=..')).toContainText('a whole number from 1 to 100000');
        await expect(page.locator('[data-guests]')).toHaveText('28');
        await page.reload();
        await expect(page.locator('[data-group="grown-ups"]')).toHaveValue('18');
    });
}

test('a feast is planned from nothing with the keyboard alone', async ({ page }) => {
    await open(page, '/');
    await page.getByLabel('Name of the feast').focus();
    await page.keyboard.type('Harvest supper');
    // In a picker the digits go to month, day and year, or to hour and minute, by themselves.
    await page.keyboard.press('Tab');
    await page.keyboard.type('12062031');
    await expect(page.getByLabel('Date')).toHaveValue('2031-12-06');
    await page.getByLabel('Sweets ready at').focus();
    await page.keyboard.type('0500PM');
    await expect(page.getByLabel('Sweets ready at')).toHaveValue('17:00');
    await expect(page.getByLabel('Time zone')).toHaveValue(await page.evaluate(() => Intl.DateTimeFormat().resolvedOptions().timeZone));
    await page.getByLabel('Guests').focus();
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type('12');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harvest supper');
    await expect(page.locator('.empty')).toContainText('Nothing is on the menu yet');
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await page.getByLabel('From the recipe book').focus();
    await page.keyboard.type('Coco');
    await page.keyboard.press('Tab');
    await settled(page, () => page.keyboard.press('Enter'));
    await expect(page.locator('.thali header')).toContainText('Coconut and rose barfi');
    await page.getByRole('link', { name: /Run sheet/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('tr[data-step]')).toHaveCount(5);
    await expect(page.locator('[data-station=run_sheet]')).toContainText(/(sure|likely|at risk): \d+ of 100/);
});

test('a menu that holds is found for an empty feast and taken in one touch', async ({ page }) => {
    await open(page, '/');
    await page.getByLabel('Name of the feast').fill('Well supper');
    await page.getByLabel('Date').fill('2031-12-13');
    await page.getByLabel('Sweets ready at').fill('18:00');
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('link', { name: /find a whole menu/ }).click();
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await expect(page.locator('.menu-card').first()).toContainText('by hand');
    await page.getByLabel('Sweets, all together').fill('3');
    await page.getByLabel('of these hot or warm').fill('1');
    await page.getByRole('button', { name: 'Find menus' }).press('Enter');
    await expect(page.getByRole('progressbar', { name: 'Looked at so far' })).toBeVisible();
    await expect(page.locator('.menu-find').first()).toContainText(/(sure|likely|at risk): \d+ of 100/, { timeout: 50_000 });
    await page.getByRole('button', { name: /Take this menu/ }).first().press('Enter');
    await expect(page.locator('.thali .served')).toHaveCount(3);
    await page.getByRole('link', { name: /Run sheet/ }).click();
    await expect(page.locator('[data-station=run_sheet]')).toContainText(/(sure|likely|at risk): \d+ of 100/);
    await expect(page.locator('.trouble')).toHaveCount(0);
});

test('another pot is chosen, and the drawing and the plan follow', async ({ page }) => {
    await open(page, '/feasts/1/pots');
    const pot = page.locator('[data-dish=basundi] .pot').first();
    await expect(pot).toContainText('Tall milk pot');
    await settled(page, () => pot.getByLabel('Cook it in').selectOption('Broad brass pot'));
    await expect(pot).toContainText('in Broad brass pot');
    await expect(pot.locator('summary')).toContainText('limit 60 %');
    await page.goto('/feasts/1/run-sheet');
    await expect(page.locator('tr[data-step="basundi/1/boil"]')).toContainText('Broad brass pot');
    await open(page, '/feasts/1/pots');
    await settled(page, () => pot.getByLabel('Cook it in').selectOption('what fits best'));
    await expect(pot).toContainText('Tall milk pot');
});

test('the number says how it was computed', async ({ page }) => {
    await open(page, '/feasts/1/guests');
    const row = page.locator('[data-dish=kesari]');
    await row.getByText('How').click();
    await expect(row).toContainText('28 guests by appetite = 24.8');
    await expect(row).toContainText('runs short in one feast of ten');
});

test('everything works without scripts too', async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: false });
    const page = await context.newPage();
    await page.goto('/feasts/1/guests');
    await page.locator('[data-group=children]').fill('16');
    await page.locator('[data-group=children]').press('Enter');
    await expect(page.locator('[data-guests]')).toHaveText('38');
    await page.locator('[data-group=children]').fill('6');
    await page.locator('[data-group=children]').press('Enter');
    await expect(page.locator('[data-guests]')).toHaveText('28');
    await context.close();
});
