import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { open, settled } from './kitchen.js';

test('a school is turned by mouse, a dial by keyboard, and amounts, steps and the sheet for the wall follow', async ({ page }) => {
    await open(page, '/recipes/pulse-coconut-pudding');
    const spice = page.locator('.flow-step').filter({ hasText: 'Bloom' });
    await expect(spice).toHaveCount(0);
    await settled(page, () => page.getByLabel('Bloomed in fat').check());
    await expect(page.getByLabel('Bloomed in fat')).toBeChecked();
    await expect(spice).toHaveCount(1);

    const sweet = page.getByLabel(/^Sweetness/);
    await sweet.focus();
    await settled(page, () => page.keyboard.press('ArrowLeft'));
    await expect(sweet).toBeFocused();
    await expect(page.locator('output').first()).toHaveText('× 0.95');
    expect(new URL(page.url()).search).toContain('0.95');
    await page.getByRole('link', { name: 'On paper' }).click();
    await expect(page.locator('.paper-recipe')).toContainText('Bloomed in fat');
});

test('what a friend told is pasted, understood, and asks for what was never said', async ({ page }) => {
    await open(page, '/recipes');
    await page
        .locator('textarea')
        .fill(
            "Hall kesari\n"
                + "\n"
                + "Take 2 cups fine semolina and roast it in half a cup of ghee on a low flame, about ten minutes, don't leave it.\n"
                + "Meanwhile boil five cups of water with a pinch of saffron.\n"
                + "Pour the hot water onto the semolina slowly, stirring.\n"
                + "Add two and a half cups of sugar and stir till it leaves the sides.\n"
                + "Serve hot.",
        );
    await page.getByRole('button', { name: 'Take in' }).first().click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Hall kesari');
    await expect(page.locator('.told-questions')).toContainText('How large is a portion');
    await expect(page.locator('.map-step').first()).toBeVisible();
    await page.getByRole('link', { name: 'To the writing desk' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await expect(page.locator('.asked')).toContainText('How large is a portion');
    for (const light of ['day', 'night']) {
        if (light === 'night') {
            await page.getByRole('button', { name: 'Day or night light' }).click();
        }
        const barriers = (await new AxeBuilder({ page }).analyze()).violations.filter((v) =>
            ['serious', 'critical'].includes(v.impact ?? ''),
        );
        expect(barriers.map((v) => `${light} ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
    }
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

    // A question leads to its step; once settled it is gone.
    const asked = await page.locator('.asked ol > li').count();
    await settled(page, () =>
        page.locator('.asked ol > li').filter({ hasText: 'portion' }).getByRole('button', { name: 'Settled' }).press('Enter'),
    );
    await expect(page.locator('.asked ol > li')).toHaveCount(asked - 1);
});

test('two steps are added and joined with the keyboard alone', async ({ page }) => {
    await open(page, '/recipes');
    await page.getByLabel('What is it called').fill('Keyboard milk');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Keyboard milk');
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    for (const [process, count] of [
        ['boil', 1],
        ['reduce', 2],
    ]) {
        await page.locator('select[name=process]').focus();
        await page.locator('select[name=process]').selectOption(process);
        await settled(page, () => page.getByRole('button', { name: 'Add this step' }).press('Enter'));
        await expect(page.locator('.map-step')).toHaveCount(count);
    }
    await page.locator('select[name=from]').selectOption({ index: 0 });
    await page.locator('select[name=to]').selectOption({ index: 1 });
    await settled(page, () => page.getByRole('button', { name: 'Pour', exact: true }).press('Enter'));
    await expect(page.locator('.draft-map .stream')).toHaveCount(1);
    await settled(page, () => page.getByRole('button', { name: 'Take the last change back' }).press('Enter'));
    await expect(page.locator('.draft-map .stream')).toHaveCount(0);
});
