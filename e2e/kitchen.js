import { expect } from '@playwright/test';

export const stations = ['guests', 'menu', 'pots', 'stores', 'run-sheet', 'cook', 'afterwards'];

/** Waits until the live form has shown its answer. */
export async function settled(page, act) {
    const before = Number((await page.locator('html').getAttribute('data-settled')) ?? 0);
    await act();
    // A round of looking for a better plan ends before its answer is shown, however slow the machine is.
    await expect
        .poll(async () => Number((await page.locator('html').getAttribute('data-settled')) ?? 0), { timeout: 30_000 })
        .toBeGreaterThan(before);
}

/** Opens a page once its scripts run. */
export async function open(page, path) {
    await page.goto(path);
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
}

export async function setGrownUps(page, count) {
    const field = page.locator('[data-group="grown-ups"]');
    await settled(page, async () => {
        await field.fill(String(count));
        await field.press('Tab');
    });
}

/** Start times of the run sheet, by step. */
export async function starts(page, feast = 1) {
    await open(page, `/feasts/${feast}/run-sheet`);
    return Object.fromEntries(
        await page
            .locator('tr[data-step]')
            .evaluateAll((rows) => rows.map((row) => [row.dataset.step, row.querySelector('[data-start]').textContent])),
    );
}
