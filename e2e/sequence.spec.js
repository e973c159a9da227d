import { expect, test } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { open, setGrownUps, settled, starts } from './kitchen.js';

test('something is tried beside the plan, kept, and taken back', async ({ page }) => {
    const before = await starts(page);
    await open(page, '/feasts/1/what-if');
    await page.getByRole('link', { name: 'Everything ready 30 min before its moment' }).click();
    await expect(page.locator('[data-compare=kesari]')).toContainText('17:15');
    expect(await starts(page)).toEqual(before);

    await open(page, '/feasts/1/what-if?try=margin-30');
    await page.getByRole('button', { name: 'Keep this' }).press('Enter');
    await expect(page.getByRole('status').first()).toContainText('Kept');
    const after = await starts(page);
    expect(after['kesari/1/dish-up']).not.toBe(before['kesari/1/dish-up']);

    await open(page, '/feasts/1/risk');
    await page.getByLabel(/so many minutes before/).fill('0');
    await page.getByRole('button', { name: 'Plan it so' }).click();
    expect(await starts(page)).toEqual(before);
});

test('a later day is weighed against what it takes elsewhere', async ({ page }) => {
    await open(page, '/feasts/1/what-if');
    const later = page.locator('.weighs [data-try]').first();
    await expect(later).toContainText(/Nobody there before \d\d:\d\d/);
    await expect(later.locator('[data-verdict]')).toContainText(/the day begins \d+ min later/);
    await expect(later).toContainText(/min more in the days before/);
});

test('a rehearsal runs by itself, is held, and is moved with the keyboard', async ({ page }) => {
    await open(page, '/feasts/1/rehearsal?wrong=none');
    const clock = page.locator('[data-clock-shown]');
    const begun = await clock.textContent();
    const play = page.locator('[data-play]');
    await play.click();
    await expect(play).toHaveText('Hold');
    await expect(clock).not.toHaveText(begun);
    await play.press('Enter');
    await expect(play).toHaveText('Let it run');
    const slider = page.locator('.rehearsal-run input');
    await slider.focus();
    await page.keyboard.press('End');
    await expect(page.locator('.rehearsal-said li').first()).toContainText('done:');
    await expect(page.locator('.rehearsal .lane-person')).toHaveCount(0);
});

test('the stove is moved through the day with the keyboard, and each step says why it stands where it does', async ({ page }) => {
    await open(page, '/feasts/1/stove');
    const slider = page.locator('.stove-time input');
    await slider.focus();
    await page.keyboard.press('Home');
    await expect(page.locator('[data-instant="0"]')).toBeVisible();
    await expect(page.locator('.stove-words li:visible')).toHaveCount(1);
    const first = await page.locator('.stove-words li:visible').textContent();
    for (let i = 0; i < 6; i += 1) {
        await page.keyboard.press('ArrowRight');
    }
    await expect(slider).toHaveAttribute('aria-valuetext', /\d\d:\d\d/);
    await expect(page.locator('.stove-words li:visible').first()).not.toHaveText(first ?? '');

    await open(page, '/feasts/1/run-sheet');
    const row = page.locator('tr[data-step="kesari/1/dish-up"]');
    await row.locator('summary').press('Enter');
    await expect(row.locator('.why-then')).toContainText('it shall be ready at 17:45');
});

test('the wall sheet holds every step, and the calendar rings for each', async ({ page }) => {
    const planned = await starts(page);
    const titles = await page.locator('tr[data-step] td:nth-child(3)').allTextContents();
    const answer = await page.request.get('/feasts/1/run-sheet.pdf?paper=a3');
    const pdf = await getDocument({ data: new Uint8Array(await answer.body()), verbosity: 0 }).promise;
    let text = '';
    for (let number = 1; number <= pdf.numPages; number += 1) {
        text += (await (await pdf.getPage(number)).getTextContent()).items.map((item) => item.str).join(' ');
    }
    text = text.replaceAll(/\s+/g, ' ');
    for (const title of titles) {
        expect(text).toContain(title.trim().replace(/^[A-Z]\s+/, '').replaceAll(/\s+/g, ' '));
    }
    for (const start of new Set(Object.values(planned))) {
        expect(text).toContain(start.trim());
    }
    const calendar = await (await page.request.get('/feasts/1/run-sheet.ics')).text();
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(titles.length);
    const asha = await (await page.request.get('/feasts/1/run-sheet.ics?person=asha')).text();
    expect(asha.match(/BEGIN:VALARM/g)?.length).toBe(asha.match(/BEGIN:VEVENT/g)?.length);
});

test('a step is held at another time with the keyboard, the rest moves, and it is let go', async ({ page }) => {
    const before = await starts(page);
    const row = page.locator('tr[data-step="barfi/1/cook"]');
    await row.locator('summary').press('Enter');
    await row.getByLabel('Begin at').fill('11:10');
    await page.keyboard.press('Enter');
    await expect(page.locator('tr[data-step="barfi/1/cook"] [data-start]')).toHaveText('11:10');
    await expect(page.locator('tr[data-step="barfi/1/cook"]')).toContainText('held');
    const held = await starts(page);
    expect(held['barfi/1/set']).not.toBe(before['barfi/1/set']);
    const again = page.locator('tr[data-step="barfi/1/cook"]');
    await again.locator('summary').click();
    await again.getByRole('button', { name: 'Let it go' }).click();
    await expect(page.locator('.held')).toHaveCount(0);
    expect(await starts(page)).toEqual(before);
});

test('a step is dragged, another moved with the arrow keys, and the rest is planned around them', async ({ page }) => {
    await open(page, '/feasts/2/run-sheet?by=dishes');
    const block = page.locator('.chart [data-activity="sesame/1/parch"]');
    await block.scrollIntoViewIfNeeded();
    const before = await block.getAttribute('aria-label');
    const box = await block.boundingBox();
    await settled(page, async () => {
        await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
        await page.mouse.down();
        await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 6 });
        await page.mouse.up();
    });
    const moved = page.locator('.chart [data-activity="sesame/1/parch"]');
    await expect(moved).toHaveClass(/is-held/);
    expect(await moved.getAttribute('aria-label')).not.toBe(before);
    await expect(page.locator('.sides [aria-current]')).toHaveText('Sweet by sweet');

    const other = page.locator('.chart [data-activity="barfi/1/cook"]').first();
    const was = (await other.getAttribute('aria-label')).slice(0, 5);
    await other.focus();
    await expect(page.locator('.run-says')).toContainText('Cook coconut');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await expect(page.locator('.run-says')).toContainText('−10 min');
    await settled(page, () => page.keyboard.press('Enter'));
    const minutes = (time) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
    expect(minutes(await page.locator('.chart [data-activity="barfi/1/cook"]').first().getAttribute('aria-label'))).toBe(minutes(was) - 10);
    await expect(page.locator('.chart .is-held')).toHaveCount(2);
    expect(await page.evaluate(() => document.activeElement?.dataset.activity)).toBe('barfi/1/cook');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Escape');
    await expect(page.locator('.chart [data-activity="barfi/1/cook"]').first()).toHaveAttribute('transform', 'translate(0 0)');
    for (const held of ['sesame/1/parch', 'barfi/1/cook']) {
        const row = page.locator(`tr[data-step="${held}"]`);
        await row.locator('summary').click();
        await row.getByRole('button', { name: 'Let it go' }).click();
        await expect(page.locator(`tr[data-step="${held}"] .held`)).toHaveCount(0);
    }
});

test('a better plan is looked for and can be stopped, and everything is tried with what it brings', async ({ page }) => {
    await open(page, '/feasts/3/run-sheet');
    // Its moments are less sure than is wished, and become surer by looking on.
    await expect(page.locator('[data-short]')).toBeVisible();
    await page.getByRole('button', { name: 'Look for a better plan' }).press('Enter');
    await expect(page.locator('[data-station=run_sheet]')).toContainText(/(sure|likely): \d+ of 100/, { timeout: 60_000 });
    // Eighty guests on two rings leave something to look for.
    await open(page, '/feasts/1/guests');
    await setGrownUps(page, 70);
    await open(page, '/feasts/1/run-sheet');
    await settled(page, async () => {
        await page.getByRole('button', { name: 'Look for a better plan' }).click();
        await expect(page.getByRole('progressbar', { name: 'Rounds of looking' })).toBeVisible();
        await page.getByRole('button', { name: 'Stop; keep the best so far' }).click();
    });
    await open(page, '/feasts/1/guests');
    await setGrownUps(page, 18);
    await open(page, '/feasts/1/what-if');
    const list = page.locator('[x-data=tries]:not(.weighs)');
    const all = await list.locator('[data-try]').count();
    await page.getByRole('button', { name: 'Try them all' }).press('Enter');
    await expect(page.getByRole('progressbar', { name: 'Tried so far' })).toBeVisible();
    await expect.poll(() => list.locator('.verdict:not(:empty)').count(), { timeout: 30_000 }).toBeGreaterThan(2);
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByRole('progressbar', { name: 'Tried so far' })).toBeHidden();
    await expect(list.locator('[data-try]')).toHaveCount(all);
    await expect(list.locator('[data-try]').first().locator('.verdict')).toHaveText(/time|less late|changes nothing/);
});

test('Bell-Raising Day: eighteen hundred guests, four sittings, on one sheet', async ({ page }) => {
    await open(page, '/feasts/3/run-sheet');
    await expect(page.locator('[data-station=run_sheet]')).toContainText(/(sure|likely|at risk): \d+ of 100/);
    expect(await page.locator('.chart [data-activity]').count()).toBeGreaterThan(100);
    await expect(page.locator('.run-list')).toContainText('for Second sitting');
});

test('when time is short a garnish is left out with the keyboard, seen with its minutes, and put back on the menu', async ({ page }) => {
    await open(page, '/feasts/2/what-if');
    const trial = page.locator('[data-try="leave-out-pudding-garnish"]');
    await expect(trial).toContainText('the fried top');
    await trial.getByRole('link').press('Enter');
    await expect(page.locator('.beside-table')).toContainText('Work by hand');
    await page.getByRole('button', { name: 'Keep this' }).press('Enter');
    await expect(page.getByRole('status').first()).toContainText('Kept');
    expect(Object.keys(await starts(page, 2))).not.toContain('pudding/1/garnish');

    await open(page, '/feasts/2/menu');
    const dish = page.locator('.thali').filter({ has: page.getByRole('heading', { name: 'Split-pulse and coconut pudding' }) });
    await settled(page, () => dish.getByRole('checkbox', { name: 'Fry coconut slivers, cashews and raisins' }).press('Space'));
    expect(Object.keys(await starts(page, 2))).toContain('pudding/1/garnish');
});

test('a step tells how its minutes come about, with a click and on a phone', async ({ page }) => {
    await open(page, '/feasts/1/run-sheet');
    await page.locator('tr[data-step="basundi/1/reduce"] a').click();
    await expect(page.locator('[data-account]')).toContainText('kg of water boil off');
    await page.getByRole('link', { name: /Sweeten and flavour/ }).press('Enter');
    await expect(page.getByRole('heading', { name: /How long/ })).toContainText('8 min');
    await page.getByRole('link', { name: 'Back to the run sheet' }).click();
    await expect(page.locator('.run-list')).toBeVisible();
});
