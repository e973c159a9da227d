import { expect, test } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { open, settled } from './kitchen.js';

/** The text of a PDF, page by page. */
async function textOf(page, path) {
    const answer = await page.request.get(path);
    expect(answer.headers()['content-type']).toBe('application/pdf');
    const pdf = await getDocument({ data: new Uint8Array(await answer.body()), verbosity: 0 }).promise;
    const pages = [];
    for (let number = 1; number <= pdf.numPages; number += 1) {
        const content = await (await pdf.getPage(number)).getTextContent();
        pages.push(content.items.map((item) => item.str).join(' ').replaceAll(/\s+/g, ' '));
    }
    return pages;
}

test('the cards are printed with every bowl, and the dipstick at true scale', async ({ page }) => {
    await open(page, '/feasts/2/cards');
    const amount = (await page.locator('[data-card=kesari] .bowl-words b').first().textContent()) ?? '';
    await page.getByRole('link', { name: 'On paper, A4' }).waitFor();
    const cards = (await textOf(page, '/feasts/2/cards.pdf')).join(' ');
    expect(cards).toContain('Pineapple kesari');
    expect(cards).toContain(amount);
    expect(cards).toContain('Ready before you light');
    for (const name of await page.locator('.measure-card h3').allTextContents()) {
        expect(cards).toContain(name.trim());
    }
    expect((await textOf(page, '/feasts/2/cards.pdf?paper=letter')).join(' ')).toContain(amount);

    await open(page, '/feasts/2/dipsticks');
    const stops = await page.locator('.level-stop b').allTextContents();
    const sticks = (await textOf(page, '/feasts/2/dipsticks.pdf')).join(' ');
    expect(stops.length).toBeGreaterThan(2);
    for (const stop of stops) {
        expect(sticks).toContain(`${stop} mm`);
    }
    expect(sticks).toContain('check: 100 mm');

    const stores = (await textOf(page, '/feasts/2/stores.pdf')).join(' ');
    expect(stores).toContain('The market, fresh');
    const labels = await textOf(page, '/feasts/2/labels.pdf');
    expect(labels.join(' ').match(/Box for the rowers/g)).toHaveLength(30);
    expect(labels[0]).toContain('Contains coconut, milk, sesame.');
});

test('marks on the printed stick stand as far apart as in the pot', async ({ page }) => {
    const answer = await page.request.get('/benches/pot.pdf?form=box&lengthMm=200&rimMm=100&heightMm=150&celsius=20');
    const pdf = await getDocument({ data: new Uint8Array(await answer.body()), verbosity: 0 }).promise;
    const content = await (await pdf.getPage(1)).getTextContent();
    const at = (words) => content.items.find((item) => item.str.trim() === words).transform[5];
    // Half a litre stands 25 mm deep there; a point is 25.4/72 mm.
    expect(((at('1.5 l') - at('1 l')) * 25.4) / 72).toBeCloseTo(25, 0);
});

test('a bowl is ticked with the keyboard, a pot is moved through the work, a place is shopped for', async ({ page }) => {
    await open(page, '/feasts/2/cards');
    const first = page.locator('[name="ticked[]"]').first();
    await first.focus();
    await settled(page, () => page.keyboard.press('Space'));
    await expect(page.locator('[data-measured]')).toContainText('1 of');
    await settled(page, () => page.locator('[name="ticked[]"]').first().uncheck());
    await expect(page.locator('[data-measured]')).toContainText('0 of');

    await open(page, '/feasts/2/pots');
    const pot = page.locator('[data-pot=cook]').first();
    const slider = pot.locator('input[type=range]');
    const before = await pot.locator('.level-says:not([hidden])').textContent();
    await slider.focus();
    await page.keyboard.press('Home');
    await page.keyboard.press('ArrowRight');
    await expect(pot.locator('[data-level="1"]')).toHaveAttribute('visibility', 'visible');
    await expect(pot.locator('.level-says:not([hidden])')).not.toHaveText(before ?? '');
    await expect(slider).toHaveAttribute('aria-valuetext', /mm/);

    await open(page, '/feasts/2/stores');
    const have = page.locator('[name="have[semolina]"]');
    await settled(page, async () => {
        await have.fill('90000');
        await have.press('Tab');
    });
    await expect(page.locator('[data-thing=semolina]')).toContainText('nothing');
    await settled(page, async () => {
        await page.locator('[name="have[semolina]"]').fill('');
        await page.keyboard.press('Tab');
    });
    await expect(page.locator('[data-thing=semolina]')).not.toContainText('nothing');
});

test('guests are changed and amounts come at once, the plan after, with focus kept', async ({ page }) => {
    await open(page, '/feasts/2/guests');
    const field = page.locator('[data-group="grown-ups"]');
    await settled(page, async () => {
        await field.fill('110');
        await field.press('Tab');
    });
    await expect(page.locator('[data-guests]')).toHaveText('258');
    await expect(page.locator('[data-station=run_sheet]')).not.toContainText('being planned');
    expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe('Appetite');
    await settled(page, async () => {
        await page.locator('[data-group="grown-ups"]').fill('92');
        await page.keyboard.press('Tab');
    });
    await expect(page.locator('[data-guests]')).toHaveText('240');
});

test('a kitchen gets a pot by what it holds, with the keyboard, and the bench cuts a tray', async ({ page }) => {
    await open(page, '/kitchen/2');
    const cards = await page.locator('.vessel-card').count();
    await settled(page, () => page.getByRole('button', { name: '+ another vessel' }).press('Enter'));
    await expect(page.locator('.vessel-card')).toHaveCount(cards + 1);
    const card = page.locator('.vessel-card').last();
    await settled(page, () => card.getByLabel('Shape').selectOption('bowl'));
    await expect(card.getByLabel('Rim across, mm')).toHaveValue('240');
    await settled(page, async () => {
        await card.getByLabel('or holds to the brim, l').fill('4');
        await page.keyboard.press('Tab');
    });
    await expect(card.locator('.vessel-drawn')).toContainText('4 l');
    await settled(page, () => card.getByRole('button', { name: 'Take out' }).press('Enter'));
    await expect(page.locator('.vessel-card')).toHaveCount(cards);
    await settled(page, () => page.getByRole('link', { name: 'Change Great milk pot' }).press('Enter'));
    await expect(page.locator('.vessel-card form')).toHaveCount(1);
    await expect(page.locator('[data-vessel=great-pot]').getByLabel('Name')).toHaveValue('Great milk pot');
    await settled(page, () => page.locator('[data-vessel=great-pot]').getByRole('link', { name: 'Done' }).press('Enter'));
    await expect(page.locator('.vessel-card form')).toHaveCount(0);

    await open(page, '/benches/tray');
    await settled(page, () => page.getByLabel('Cut in').selectOption('crossed-diamonds'));
    await settled(page, async () => {
        await page.getByLabel('Long diagonal, mm').fill('60');
        await page.keyboard.press('Tab');
    });
    await expect(page.locator('[data-pieces]')).toHaveText('192 pieces');
    expect(new URL(page.url()).searchParams.get('a')).toBe('60');
});
