import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { open, settled } from './kitchen.js';

const TOLD =
    'River halwa, as my aunt makes it. Boil half a litre of water with three hundred grams of sugar, that is one cup. '
    + 'Meanwhile, in another pan, roast 200 g of semolina in 150 g of white gold on a low flame for ten minutes, stirring all'
    + " the time, till it smells of nuts. Don't let it go brown. Pour the boiling water over the semolina, slowly, and keep "
    + 'stirring until it leaves the pan, five minutes. Half a teaspoon of cardamom. If it is stiff, a ladle of hot water. '
    + 'Serve it hot.';

test('a telling of two pots is read, corrected in a word, answered, and planned for sixty', async ({ page }) => {
    await open(page, '/recipes');
    await page.locator('textarea').fill(TOLD);
    await page.getByRole('button', { name: 'Take in' }).first().click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('River halwa');

    // Two pots that meet, a warning that is no step, a sign with its rescue.
    await expect(page.locator('.map-step').filter({ hasText: /pour/i })).toHaveCount(1);
    await expect(page.locator('.map-step').filter({ hasText: /parch|roast/i })).toHaveCount(1);
    await expect(page.locator('.lit-caution')).toContainText("Don't let it go brown");
    await expect(page.locator('.lit-sign-wrong')).toContainText('If it is stiff');
    const barriers = (await new AxeBuilder({ page }).analyze()).violations.filter((v) =>
        ['serious', 'critical'].includes(v.impact ?? ''),
    );
    expect(barriers.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);

    // What no larder knows stays a bowl with its name until somebody says what it is.
    await page.locator('.told-text .lit-unknown').focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.lit-word')).toContainText('white gold');
    await page.getByLabel('means').selectOption('thing:ghee');
    await page.getByRole('button', { name: 'Learn it and read again' }).press('Enter');
    await expect(page.locator('.told-text .lit-unknown')).toHaveCount(0);
    await page.locator('.told-text .lit-amount').filter({ hasText: 'white gold' }).click();
    await expect(page.locator('.lit-word b')).toHaveText('Ghee, 150 g');

    // What contradicts itself is asked first, with what the answer changes.
    const first = page.locator('.told-questions > ol > li').first();
    await expect(first).toContainText('were both told');
    await expect(first).toContainText(/sugar goes from \d+ to \d+ %|makes \d+ to \d+ g|water goes/);
    await first.getByRole('textbox').fill('as you like');
    await first.getByRole('button', { name: 'So it is' }).click();
    await expect(page.locator('.fault')).toContainText('says nothing here');
    await first.getByRole('textbox').fill('300 g');
    await first.getByRole('textbox').press('Enter');
    await expect(page.locator('.told-questions')).not.toContainText('were both told');
    await page.getByRole('button', { name: 'Into the book' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('River halwa');

    await open(page, '/');
    await page.getByLabel('Name of the feast').fill('River supper');
    await page.getByLabel('Date').fill('2031-12-20');
    await page.getByLabel('Sweets ready at').fill('18:00');
    await page.getByLabel('Guests').fill('60');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await page.getByLabel('From the recipe book').selectOption({ label: 'River halwa' });
    await settled(page, () => page.getByRole('button', { name: 'Add to the menu' }).press('Enter'));
    await expect(page.locator('.thali header').first()).toContainText('River halwa');
    await page.getByRole('link', { name: /Run sheet/ }).click();
    await expect(page.locator('tr[data-step]').first()).toBeVisible();
    await expect(page.locator('[data-station=run_sheet]')).toContainText(/(sure|likely|at risk): \d+ of 100/);
});
