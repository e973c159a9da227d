import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { open } from './kitchen.js';

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
