import { expect, test } from '@playwright/test';
import { open, settled } from './kitchen.js';

test('a step is ticked, kept, seen on a second phone, and undone', async ({ page, context }) => {
    const other = await context.newPage();
    await other.clock.install();
    await open(other, '/feasts/1/cook');

    await open(page, '/feasts/1/cook');
    const first = await page.locator('article[data-step]').first().getAttribute('data-step');
    const card = page.locator(`article[data-step="${first}"]`);
    await expect(card).toContainText(/\d (kg|g)/);
    await expect(card).toContainText('done when');
    await settled(page, () => card.getByRole('button', { name: /Done/ }).click());
    await expect(page.locator(`[data-done="${first}"]`)).toBeVisible();
    await expect(page.locator('article[data-step]').first()).toBeVisible();
    await expect(page.locator('[data-station=cook]')).toContainText('1 of 25 done');
    await page.reload();
    await expect(page.locator(`[data-done="${first}"]`)).toBeVisible();

    await other.clock.fastForward(5500);
    await expect(other.locator(`[data-done="${first}"]`)).toBeVisible();

    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await settled(page, () => page.locator(`[data-done="${first}"]`).getByRole('button', { name: /Undo/ }).click());
    await expect(card).toBeVisible();
    await expect(page.locator('[data-done]')).toHaveCount(0);
    await other.close();
});

test('a double click ticks once, and each tick brings the next thing to do', async ({ page }) => {
    await open(page, '/feasts/1/cook');
    await settled(page, () => page.locator('article[data-step]').first().getByRole('button', { name: /Done/ }).dblclick());
    await expect(page.locator('[data-done]')).toHaveCount(1);
    let ticked = 1;
    // What needs nobody shows once it is fed.
    while (ticked < 20 && !(await page.locator('.bench-alone').filter({ hasText: 'Chill the basundi' }).count())) {
        const next = await page.locator('article[data-step]').first().getAttribute('data-step');
        await page.locator(`article[data-step="${next}"]`).getByRole('button', { name: /Done/ }).click();
        await expect(page.locator(`[data-done="${next}"]`)).toBeVisible();
        ticked += 1;
    }
    await expect(page.locator('.bench-alone')).toContainText('Chill the basundi');
    for (let left = ticked; left > 0; --left) {
        await settled(page, () => page.locator('[data-done]').first().getByRole('button', { name: /Undo/ }).click());
    }
    await expect(page.locator('[data-done]')).toHaveCount(0);
});

test('what was left over is kept', async ({ page }) => {
    await open(page, '/feasts/1/afterwards');
    await page.getByLabel('Left over, Pineapple kesari').fill('180');
    await page.getByLabel('Note for next time, Pineapple kesari').fill('One pan more for the late ones');
    await page.getByRole('button', { name: 'Keep this' }).click();
    // The page that answers shows it; only then is it loaded anew.
    await expect(page.locator('[data-station=afterwards]')).toContainText('1 noted');
    await page.reload();
    await expect(page.getByLabel('Left over, Pineapple kesari')).toHaveValue('180');
    await expect(page.locator('[data-station=afterwards]')).toContainText('1 noted');
});
