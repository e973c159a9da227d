import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { open, stations } from './kitchen.js';

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
    ...['menu', 'stores', 'cards', 'dipsticks', 'who-eats', 'boxes', 'stove', 'risk', 'what-if'].map((page) => `/feasts/2/${page}`),
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

test('what is touched with wet hands is large enough', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/cook');
    for (const button of await page.locator('.board button').all()) {
        const box = await button.boundingBox();
        expect(box?.height).toBeGreaterThanOrEqual(44);
    }
});

test('night light is remembered', async ({ page }) => {
    await open(page, '/');
    await page.getByRole('button', { name: 'Day or night light' }).press('Enter');
    await page.goto('/kitchen');
    await expect(page.locator('html')).toHaveAttribute('data-light', 'night');
});

test('a recipe is measured for the yield that is typed in, and its flow is drawn for it', async ({ page }) => {
    await open(page, '/recipes/pineapple-kesari');
    await expect(page.locator('.flow-step')).toHaveCount(7);
    await page.getByLabel('Make', { exact: true }).fill('6000');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Makes 6 kg')).toBeVisible();
    await expect(page.locator('.flow')).toContainText('1 kg Semolina');
    await expect(page.locator('.recipe-steps')).toContainText('1 kg Semolina, fine');
});

test('a recipe file is taken in, and a broken one is refused with its place', async ({ page }) => {
    const basundi = readFileSync('data/recipes/basundi.json', 'utf8');
    await open(page, '/recipes');
    await page
        .locator('input[type=file]')
        .setInputFiles({ name: 'cut.json', mimeType: 'application/json', buffer: Buffer.from(basundi.slice(0, 900)) });
    await page.getByRole('button', { name: 'Take in' }).click();
    await expect(page.locator('.fault')).toContainText('ends in the middle');
    await page
        .locator('input[type=file]')
        .setInputFiles({
            name: 'faulty.json',
            mimeType: 'application/json',
            buffer: Buffer.from(basundi.replace('"grams": 3000', '"grams": -1')),
        });
    await page.getByRole('button', { name: 'Take in' }).click();
    await expect(page.locator('.fault')).toContainText('/steps/0/takes/0/grams');
    await page
        .locator('input[type=file]')
        .setInputFiles({ name: 'huge.json', mimeType: 'application/json', buffer: Buffer.alloc(30_000_000, 32) });
    await page.getByRole('button', { name: 'Take in' }).click();
    await expect(page.locator('.fault').first()).toContainText(/too large|larger|most/i);
    await page
        .locator('input[type=file]')
        .setInputFiles({
            name: 'evening.json',
            mimeType: 'application/json',
            buffer: Buffer.from(
                basundi.replace('"slug": "basundi"', '"slug": "evening-milk"').replace('"name": "Basundi"', '"name": "Evening milk"'),
            ),
        });
    await page.getByRole('button', { name: 'Take in' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Evening milk');
});
