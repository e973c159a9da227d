import { test } from '@playwright/test';
import { open, settled, stations } from '../kitchen.js';

const folder = new URL('../../docs/screenshots', import.meta.url).pathname;

for (const station of stations) {
    test(station, async ({ page }) => {
        await open(page, `/feasts/1/${station}`);
        await page.screenshot({ path: `${folder}/${station}.png` });
    });
}

for (const [name, path] of [['feasts', '/'], ['recipe', '/recipes/pineapple-kesari'], ['larder', '/larder?q=milk'], ['kitchen', '/kitchen']]) {
    test(name, async ({ page }) => {
        await open(page, path);
        await page.screenshot({ path: `${folder}/${name}.png` });
    });
}

test('on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/cook');
    await page.screenshot({ path: `${folder}/cook-phone.png` });
});

test('at four in the morning', async ({ page, context, baseURL }) => {
    await context.addCookies([{ name: 'light', value: 'night', url: baseURL }]);
    await open(page, '/feasts/1/run-sheet');
    await page.screenshot({ path: `${folder}/run-sheet-night.png` });
});

test('what does not come in time', async ({ page }) => {
    await open(page, '/feasts/1/guests');
    const field = page.locator('[data-group="grown-ups"]');
    await settled(page, async () => {
        await field.fill('110');
        await field.press('Tab');
    });
    await page.screenshot({ path: `${folder}/not-in-time.png` });
});
