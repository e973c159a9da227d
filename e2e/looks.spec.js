import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { open, stations } from './kitchen.js';

// Every page, looked at only: two at once, before anything is changed.
const pages = [
    '/',
    '/recipes',
    '/recipes/pineapple-kesari',
    '/recipes/pulse-coconut-pudding',
    '/recipes/jalebi/print',
    '/larder/jaggery',
    '/larder?q=2%20to%203%20cups%20milk',
    '/kitchen',
    '/kitchen/2',
    '/kitchen/2/vessels/great-pot',
    '/feasts/2/run-sheet?by=people',
    '/feasts/1/step/basundi/1/reduce',
    ...stations.map((station) => `/feasts/1/${station}`),
    ...['menu', 'stores', 'cards', 'dipsticks', 'who-eats', 'boxes', 'stove', 'risk', 'what-if', 'rehearsal'].map(
        (page) => `/feasts/2/${page}`,
    ),
    '/feasts/2/menu/book',
    '/benches/tray',
    '/benches/pot',
    '/benches/most',
];

for (const path of pages) {
    test(`${path} asks no other host, breaks no policy, is light, and has no serious barrier`, async ({ page, baseURL }) => {
        const strangers = [];
        const complaints = [];
        let bytes = 0;
        page.on(
            'request',
            (request) => new URL(request.url()).origin !== baseURL && !request.url().startsWith('data:') && strangers.push(request.url()),
        );
        page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
        page.on('pageerror', (error) => complaints.push(error.message));
        page.on('response', async (response) => {
            bytes += (await response.body().catch(() => Buffer.alloc(0))).length;
        });
        await open(page, path);
        await page.waitForLoadState('networkidle');
        expect(strangers).toEqual([]);
        expect(complaints).toEqual([]);
        expect(bytes).toBeLessThan(300_000);
        for (const light of ['day', 'night']) {
            if (light === 'night') {
                await page.getByRole('button', { name: 'Day or night light' }).click();
            }
            await expect(page.locator('html')).toHaveAttribute('data-light', light);
            const barriers = (await new AxeBuilder({ page }).analyze()).violations.filter((v) =>
                ['serious', 'critical'].includes(v.impact ?? ''),
            );
            expect(barriers.map((v) => `${light} ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
        }
    });

    test(`${path} fits a phone`, async ({ page }) => {
        await page.setViewportSize({ width: 390, height: 844 });
        await open(page, path);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    });
}
