import { expect, test } from '@playwright/test';
import { open, settled } from './kitchen.js';

/** Types into a field of the open step and waits until it is kept. */
async function fill(page, name, value) {
    const field = page.locator(`[name="step${name}"]`);
    if ((await field.inputValue()) === value) {
        return;
    }
    await settled(page, async () => {
        if ((await field.evaluate((el) => el.tagName)) === 'SELECT') {
            await field.selectOption(value);
        } else {
            await field.fill(value);
            await field.press('Tab');
        }
    });
}

async function tick(page, name) {
    await settled(page, () => page.locator(`[name="step${name}"]`).check());
}

async function press(page, name) {
    await settled(page, () => page.getByRole('button', { name, exact: true }).click());
}

async function addStep(page, process, title) {
    await page.locator('select[name=process]').selectOption(process);
    await press(page, 'Add this step');
    await fill(page, '[title]', title);
}

async function addBowl(page, line) {
    const bowls = await page.locator('.bowl-row').count();
    await page.locator('[name=line]').fill(line);
    await settled(page, () => page.locator('[name=line]').press('Enter'));
    await expect(page.locator('.bowl-row')).toHaveCount(bowls + 1);
}

/** By the fields below the map, as with the keyboard. */
async function pour(page, from, into) {
    await page.locator('select[name=from]').selectOption({ label: from });
    await page.locator('select[name=to]').selectOption({ label: into });
    await press(page, 'Pour');
}

/** By drawing a stream from the spout of one step into another. */
async function drag(page, from, into) {
    const map = page.locator('.draft-map');
    await map.locator(`[data-spout="${from}"]`).scrollIntoViewIfNeeded();
    const spout = await map.locator(`[data-spout="${from}"]`).boundingBox();
    await page.mouse.move(spout.x + spout.width / 2, spout.y + spout.height / 2);
    await page.mouse.down();
    const target = await map.locator(`[data-step="${into}"] .map-box`).boundingBox();
    await page.mouse.move(target.x + 30, target.y + 20, { steps: 5 });
    await expect(page.locator('.map-drag')).not.toHaveAttribute('d', '');
    await settled(page, () => page.mouse.up());
}

async function openStep(page, title) {
    await settled(page, () => page.getByRole('link', { name: `Open the step ${title}` }).click());
}

test('a recipe is written from nothing, checks clean, and plans', async ({ page }) => {
    test.setTimeout(120_000);
    await open(page, '/recipes');
    await page.getByLabel('What is it called').fill('Harbour pudding');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbour pudding');

    // Coconut, pressed in several extracts.
    await addStep(page, 'press', 'Press the thick milk');
    await addBowl(page, '700 g freshly grated coconut');
    await addBowl(page, '150 ml water, warm');
    await press(page, 'One more thing it gives');
    await fill(page, '[outputs][0][id]', 'thick');
    await fill(page, '[outputs][0][share]', '0.34');
    await fill(page, '[outputs][0][as]', 'Coconut milk, first pressing');
    await press(page, 'One more thing it gives');
    await fill(page, '[outputs][1][id]', 'rest');
    await fill(page, '[outputs][1][share]', '0.66');

    await addStep(page, 'press', 'Press twice more');
    await addBowl(page, '700 ml water, warm');
    await pour(page, 'Press the thick milk', 'Press twice more');
    await fill(page, '[takes][0][output]', 'rest');
    for (const [i, id, share] of [[0, 'second', '0.38'], [1, 'third', '0.3'], [2, 'spent', '0.32']]) {
        await press(page, 'One more thing it gives');
        await fill(page, `[outputs][${i}][id]`, id);
        await fill(page, `[outputs][${i}][share]`, share);
        if (id === 'spent') {
            await tick(page, '[outputs][2][waste]');
        } else {
            await fill(page, `[outputs][${i}][as]`, 'Coconut milk, thin pressings');
        }
    }

    // Dark sugar, melted and strained.
    await addStep(page, 'syrup', 'Melt the dark sugar');
    await addBowl(page, '350 g jaggery, crushed');
    await addBowl(page, '140 ml water');
    await fill(page, '[time][grows]', 'warm-up');
    await fill(page, '[target][kind]', 'celsius');
    await fill(page, '[target][value]', '95');
    await addStep(page, 'strain', 'Strain out the grit');
    await pour(page, 'Melt the dark sugar', 'Strain out the grit');
    await fill(page, '[leaving][waste]', '0.02');
    await fill(page, '[leaving][what]', 'grit');

    // Nothing is lost when the page is loaded anew in the middle.
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await expect(page.locator('[name="step[leaving][what]"]')).toHaveValue('grit');
    await expect(page.locator('.map-step')).toHaveCount(4);

    // The pulse cooks in the thinnest; spice in a first wave.
    await addStep(page, 'simmer', 'Cook the pulse');
    await addBowl(page, '250 g split moong');
    await addBowl(page, '450 ml water');
    await addBowl(page, '1.5 g dry ginger, ground');
    await pour(page, 'Press twice more', 'Cook the pulse');
    await fill(page, '[takes][0][output]', 'third');
    await addStep(page, 'simmer', 'Sweeten');
    await drag(page, 'simmer', 'simmer-2');
    await expect(page.locator('[name="step[vessel][continues]"]')).toHaveValue('simmer');
    await pour(page, 'Strain out the grit', 'Sweeten');
    await pour(page, 'Press twice more', 'Sweeten');

    // Garnish fried, part of it kept aside.
    await addStep(page, 'fry-garnish', 'Fry the garnish');
    await addBowl(page, '2 tbsp ghee');
    await addBowl(page, '45 g cashews');
    await press(page, 'One more sign');
    await fill(page, '[cues][0][sign]', 'Straw-gold');

    // The thick milk goes in off the flame; spice in a second wave.
    await addStep(page, 'mix-in', 'Stir in the thick milk');
    await pour(page, 'Sweeten', 'Stir in the thick milk');
    await pour(page, 'Press the thick milk', 'Stir in the thick milk');
    await pour(page, 'Fry the garnish', 'Stir in the thick milk');
    await fill(page, '[takes][2][share]', '0.65');
    await addBowl(page, '3 g ground cardamom, at the very end');
    await fill(page, '[vessel][kind]', 'pot');
    await fill(page, '[vessel][continues]', 'simmer-2');
    await fill(page, '[target][kind]', 'celsius');
    await fill(page, '[target][value]', '78');
    await press(page, 'One more tie');
    await fill(page, '[ties][0][after]', 'simmer-2');
    await fill(page, '[ties][0][min]', '2');
    await fill(page, '[ties][0][max]', '20');

    await addStep(page, 'dish-up', 'Dish up');
    await pour(page, 'Stir in the thick milk', 'Dish up');
    await pour(page, 'Fry the garnish', 'Dish up');
    await expect(page.locator('[name="step[takes][1][share]"]')).toHaveValue('0.35');
    await tick(page, '[once]');

    await expect(page.locator('.check-fault')).toHaveCount(0);
    await expect(page.locator('.check-clean')).toContainText('checks clean');
    await page.getByRole('button', { name: 'Into the book' }).click();
    await expect(page.getByRole('status')).toContainText('It is in the book.');
    await expect(page.locator('.trouble')).toHaveCount(0);
    await expect(page.locator('#step-mix-in')).toContainText('from “Press the thick milk”, thick');

    // And it plans, beside the rest of the menu's kitchen.
    await open(page, '/');
    await page.getByLabel('Name of the feast').fill('Harbour evening');
    await page.getByLabel('Date').fill('2031-11-15');
    await page.getByLabel('Sweets ready at').fill('18:00');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    await page.locator('select[name=recipe]').selectOption('harbour-pudding');
    await press(page, 'Add to the menu');
    await expect(page.locator('.thali').first()).toContainText('Harbour pudding');
    await page.getByRole('link', { name: /Run sheet/ }).click();
    await expect(page.locator('tr[data-step] > td:nth-child(3)').filter({ hasText: 'Stir in the thick milk' })).toHaveCount(1);
    await expect(page.locator('.trouble')).toHaveCount(0);
});
