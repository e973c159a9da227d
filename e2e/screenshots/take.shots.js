import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { open, settled } from '../kitchen.js';

const told = `Semolina kesari, as my aunt tells it

You take two cups of semolina, the fine one, and roast it in half a cup of ghee on a low flame
till it smells nice, about ten minutes, don't leave it.
Meanwhile boil five cups of water with a pinch of saffron.
Pour the hot water onto the semolina slowly, stirring all the time or it lumps.
When it has drunk the water add two and a half cups sugar, or jaggery if you like, and stir till it leaves the sides.
Fry a handful of cashews and raisins in a little ghee, put them on top with cardamom to taste.
Serve it hot.`;
const folder = new URL('../../docs/screenshots', import.meta.url).pathname;

// The temple shows what a crowd needs, the home feast its cooking day.
const views = [
    ['guests', '/feasts/2/guests'],
    ['menu', '/feasts/2/menu'],
    ['pots', '/feasts/2/pots'],
    ['stores', '/feasts/2/stores'],
    ['cards', '/feasts/2/cards'],
    ['who-eats', '/feasts/2/who-eats'],
    ['run-sheet', '/feasts/2/run-sheet'],
    ['stove', '/feasts/2/stove'],
    ['cook', '/feasts/1/cook'],
    ['recipes', '/recipes'],
    ['recipe', '/recipes/pulse-coconut-pudding'],
    ['kitchen', '/kitchen/2'],
    ['bench', '/benches/tray?cut=crossed-diamonds&a=60&b=35'],
];
for (const [name, path] of views) {
    test(name, async ({ page }) => {
        await open(page, path);
        await page.screenshot({ path: `${folder}/${name}.png` });
    });
}

test('the day', async ({ page, baseURL }) => {
    const day = (way) => execFileSync('php', ['e2e/day.php', way], { env: { ...process.env, DATA_DIR: `${process.cwd()}/var/e2e` } });
    day('now');
    await open(page, '/feasts/1/mine/asha');
    const step = await page.locator('.my-step').getAttribute('data-step');
    const at = new Date().toISOString().replace(/\.\d+Z$/, '+00:00');
    await page.request.post('/feasts/1/day/events', {
        headers: { 'X-Day-Token': 'csrf-token', Origin: baseURL },
        data: { events: [{ id: 'picture', at, by: 'asha', kind: 'started', step }] },
    });
    await open(page, '/feasts/1/board');
    await page.screenshot({ path: `${folder}/day-board.png` });
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/mine/asha');
    await page.screenshot({ path: `${folder}/day-mine.png` });
    day('back');
});

test('at four in the morning', async ({ page, context, baseURL }) => {
    await context.addCookies([{ name: 'light', value: 'night', url: baseURL }]);
    await open(page, '/feasts/3/run-sheet');
    await page.screenshot({ path: `${folder}/bell-raising.png` });
});

test('a menu that is found', async ({ page }) => {
    await open(page, '/feasts/1/menu/book');
    await page.getByRole('button', { name: 'Find menus' }).click();
    await expect(page.getByRole('progressbar', { name: 'Looked at so far' })).toBeHidden({ timeout: 60_000 });
    await page.screenshot({ path: `${folder}/menu-found.png` });
});

test('writing', async ({ page }) => {
    await open(page, '/recipes/pulse-coconut-pudding');
    await page.getByRole('button', { name: 'Change it' }).click();
    await open(page, page.url());
    await page.getByRole('link', { name: /Open the step Press the first/ }).click();
    await expect(page.locator('#step-title')).toContainText('Press the first');
    await page.screenshot({ path: `${folder}/writing.png` });
});

test('told', async ({ page }) => {
    await open(page, '/recipes');
    await page.locator('textarea').fill(told);
    await page.getByRole('button', { name: 'Take in' }).first().click();
    await expect(page.locator('.map-step').first()).toBeVisible();
    await page.screenshot({ path: `${folder}/told.png` });
});
