import { execFileSync } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { open } from './kitchen.js';
import { base } from './settings.js';

const move = (way) => execFileSync('php', ['e2e/day.php', way], { env: { ...process.env, DATA_DIR: `${process.cwd()}/var/e2e` } });

test.beforeEach(() => move('now'));
test.afterEach(() => move('back'));

const said = async (page) => (await (await page.request.get('/feasts/1/day-log.json')).json()).events.map((event) => event.kind);

async function tap(page, kind) {
    const step = await page.locator('.my-step').getAttribute('data-step');
    await page.locator(`.my-foot [data-tap=${kind}]`).click();
    return step;
}

test('a step is begun on a phone, the wall shows it within two seconds, and the log says what was tapped', async ({ page, context }) => {
    const wall = await context.newPage();
    await open(wall, '/feasts/1/board');
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/mine/asha');
    // Step, sign, countdown and the tap stand on the first screen.
    for (const part of ['h2', '.countdown', '.my-sign', '.my-foot [data-tap]']) {
        await expect(page.locator(part).first()).toBeInViewport();
    }
    const step = await tap(page, 'started');
    await expect(page.locator('.my-step')).toHaveAttribute('data-state-of', 'running');
    await expect(wall.locator(`[data-lane=asha] [data-bar="${step}"]`)).toContainText('min more', { timeout: 2500 });
    expect(await said(page)).toEqual(['started']);
    const first = await page.locator('.countdown b').textContent();
    await expect(page.locator('.countdown b')).not.toHaveText(first, { timeout: 3000 });
    await tap(page, 'done');
    await expect(page.locator(`.my-step[data-step="${step}"]`)).toHaveCount(0);
    expect((await said(page)).filter((kind) => kind !== 'replanned')).toEqual(['started', 'done']);
    await wall.close();
});

test('something goes wrong: two taps say it, the hazard comes first, the second way is taken', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/mine/asha');
    await tap(page, 'started');
    await expect(page.locator('.my-step')).toHaveAttribute('data-state-of', 'running');
    await page.getByRole('link', { name: 'What happened?' }).click();
    await page.getByRole('button', { name: 'Dropped or spilt, about half' }).click();
    await expect(page.locator('.hazard')).toContainText('What touched the floor is not eaten');
    const above = await page.locator('.hazard').evaluate((h) => h.compareDocumentPosition(document.querySelector('[data-way]')));
    expect(above & 4).toBe(4);
    const way = await page.locator('[data-way]').nth(1).getAttribute('data-way');
    await page.locator('[data-way]').nth(1).getByRole('button', { name: 'This way' }).click();
    await expect(page.locator('.my-step')).toBeVisible();
    const log = (await (await page.request.get('/feasts/1/day-log.json')).json()).events;
    expect(log.find((event) => event.kind === 'answered')).toMatchObject({ way, taken: true, by: 'asha' });
});

test('without a network taps wait on the phone, the page opens again, all of it flows when it is back', async ({ page, context }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/mine/asha');
    await expect(page.locator('html')).toHaveAttribute('data-kept', 'yes', { timeout: 30_000 });
    await context.setOffline(true);
    const step = await tap(page, 'started');
    await expect(page.locator('.my-foot [data-tap=done]')).toBeVisible();
    await page.locator('.my-foot [data-tap=done]').click();
    await expect(page.locator('[data-waits]')).toHaveText('Taps that wait for the network: 2', { timeout: 10_000 });
    await page.reload();
    await expect(page.locator('.my-step')).toHaveAttribute('data-step', step);
    await expect(page.locator('[data-waits]')).toHaveText('Taps that wait for the network: 2', { timeout: 10_000 });
    await page.goto('/feasts/1/board');
    await expect(page.locator('.lanes')).toBeVisible();
    await page.goto('/feasts/1/mine/asha');
    await context.setOffline(false);
    const heard = async () =>
        (await (await page.request.get('/feasts/1/day-log.json')).json()).events
            .filter((event) => event.step === step)
            .map((event) => event.kind);
    await expect.poll(heard, { timeout: 20_000 }).toEqual(['started', 'done']);
    await expect(page.locator('[data-waits]')).toBeHidden({ timeout: 15_000 });
});

test('over hot fat only a long press ends a step, by the keyboard too, and it can be taken back', async ({ page }) => {
    await open(page, '/feasts/1/board');
    const state = await page.request.get('/feasts/1/schedule-problem.json');
    expect(state.ok()).toBe(true);
    const at = new Date(Date.now() - 1000).toISOString().replace(/\.\d+Z$/, '+00:00');
    const before = ['balls/1/dough', 'balls/1/rest', 'balls/1/shape', 'balls/1/syrup'];
    const done = before.map((step, k) => ({ id: `d-${k}`, at, kind: 'done', step }));
    const answer = await page.request.post('/feasts/1/day/events', {
        headers: { 'X-Day-Token': 'csrf-token', Origin: base },
        data: { events: [...done, { id: 'd-fry', at, by: 'asha', kind: 'started', step: 'balls/1/fry' }] },
    });
    expect(answer.ok()).toBe(true);
    await open(page, '/feasts/1/mine/asha');
    await expect(page.locator('.my-step')).toHaveAttribute('data-step', 'balls/1/fry');
    const button = page.locator('.my-foot [data-tap=done]');
    await button.click();
    await expect(button).toBeVisible();
    await button.focus();
    await page.keyboard.down('Enter');
    await expect(page.locator('[data-take-back]')).toBeVisible({ timeout: 5000 });
    await page.keyboard.up('Enter');
    await page.locator('[data-take-back]').click();
    await expect(button).toBeVisible();
    const fried = async () => {
        const { events } = await (await page.request.get('/feasts/1/day-log.json')).json();
        return events.filter((event) => event.kind === 'done' && event.step === 'balls/1/fry');
    };
    expect(await fried()).toEqual([]);
    const box = await button.boundingBox();
    await page.mouse.move(box.x + 20, box.y + 20);
    await page.mouse.down();
    await expect(page.locator('[data-take-back]')).toBeVisible({ timeout: 5000 });
    await page.mouse.up();
    await expect(page.locator('.my-step[data-step="balls/1/fry"]')).toHaveCount(0, { timeout: 20_000 });
    expect(await fried()).toHaveLength(1);
});

test('Stop is one press from every screen, on all of them, until somebody says it is over', async ({ page, context }) => {
    const wall = await context.newPage();
    await open(wall, '/feasts/1/board');
    await open(page, '/feasts/1/mine/nilu');
    await page.getByRole('link', { name: 'Stop' }).click();
    await page.getByRole('button', { name: 'Smell of gas' }).click();
    await expect(wall.locator('[data-stopped]')).toContainText('no flame, no switch', { timeout: 5000 });
    await page.getByRole('button', { name: 'It is over: go on' }).click();
    await expect(wall.locator('[data-stopped]')).toHaveCount(0, { timeout: 5000 });
    await wall.close();
});

test('the screens of the day ask no other host, have no serious barrier by either light, and fit a phone', async ({ page, context }) => {
    const strangers = [];
    page.on('request', (request) => !request.url().startsWith(base) && !request.url().startsWith('data:') && strangers.push(request.url()));
    const lists = ['said', 'stop', 'what/basundi/1/boil', 'catch-up', 'serving', 'changes', 'real', 'mends'].map((list) => `day/${list}`);
    for (const path of ['board', 'mine/asha', ...lists]) {
        for (const light of ['day', 'night']) {
            await context.addCookies([{ name: 'light', value: light, url: base }]);
            await page.setViewportSize(light === 'day' ? { width: 1280, height: 800 } : { width: 390, height: 844 });
            await open(page, `/feasts/1/${path}`);
            const found = (await new AxeBuilder({ page }).analyze()).violations;
            const barriers = found.filter((v) => ['serious', 'critical'].includes(v.impact));
            expect(barriers.map((v) => `${path} ${light} ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
            const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
            expect(wide, `${path} by ${light}`).toBeLessThanOrEqual(0);
        }
    }
    expect(strangers).toEqual([]);
});

test('bowls are ticked as they go in, less of one is said in grams, and what is different is said in a list', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/feasts/1/mine/asha');
    const bowl = page.locator('.my-bowls [data-bowl]').first();
    await bowl.locator('[data-tap=bowl]').click();
    await expect(bowl.locator('.ticked')).toBeVisible();
    await expect.poll(() => said(page)).toEqual(['bowl']);
    // More of it than was planned: said in grams, it counts in the pot and in the minutes.
    await open(page, '/feasts/1/day/said');
    await page.getByRole('button', { name: 'Take it back' }).first().click();
    await open(page, '/feasts/1/mine/asha');
    await tap(page, 'started');
    await expect(page.locator('.my-step')).toHaveAttribute('data-state-of', 'running');
    const until = Number(await page.locator('[data-countdown]').first().getAttribute('data-countdown'));
    await page.locator('.otherwise summary').first().click();
    await page.locator('.otherwise input[name=grams]').first().fill('6000');
    await page.locator('.otherwise').first().getByRole('button', { name: 'Say so' }).click();
    await expect(page.locator('.ticked').first()).toBeVisible();
    expect(Number(await page.locator('[data-countdown]').first().getAttribute('data-countdown'))).toBeGreaterThan(until + 600);

    await open(page, '/feasts/1/day/changes');
    await page.locator('[data-thing=wide-ring]').getByRole('button', { name: 'Out of use' }).click();
    await expect(page.locator('[data-thing=wide-ring]')).toContainText('out of use');
    await page.locator('[data-thing=wide-ring]').getByRole('button', { name: 'It is back' }).click();
    await expect(page.locator('[data-thing=wide-ring]')).not.toContainText('out of use');
    await page.getByLabel('Grown-ups').fill('25');
    await page.getByRole('button', { name: 'So many come' }).first().click();
    await expect(page.getByLabel('Grown-ups')).toHaveValue('25');
    await page.locator('[data-dish=balls]').getByRole('button', { name: 'Give it up' }).click();
    await expect(page.locator('[data-dish=balls]')).toContainText('given up');
    expect((await said(page)).filter((kind) => kind !== 'replanned')).toEqual([
        'bowl', 'withdrawn', 'started', 'bowl', 'out', 'back', 'guests', 'dish',
    ]);
    await open(page, '/feasts/1/day/said');
    for (const words of ['out of use: Wide ring', 'back in use: Wide ring', '25 come: Grown-ups', 'given up: Milk-solids balls in syrup']) {
        await expect(page.locator('.said')).toContainText(words);
    }
    await open(page, '/feasts/1/board');
    await expect(page.locator('.lanes')).not.toContainText('Knead the milk-solids dough');
});

test('a phone whose clock is seven minutes fast says when it really was', async ({ page, context }) => {
    const fast = await context.newPage();
    await fast.clock.install({ time: Date.now() + 7 * 60_000 });
    await open(fast, '/feasts/1/mine/asha');
    const step = await tap(fast, 'started');
    await expect.poll(() => said(page)).toEqual(['started']);
    const { events } = await (await page.request.get('/feasts/1/day-log.json')).json();
    expect(events[0].step).toBe(step);
    expect(Math.abs(Date.parse(events[0].at) - Date.now())).toBeLessThan(20_000);
    // Both see the same minutes left.
    await open(page, '/feasts/1/mine/asha');
    const left = async (of) => (await of.locator('.my-step .countdown b').textContent()).split(':').map(Number);
    const apart = async () => Math.abs((await left(page)).at(-2) - (await left(fast)).at(-2));
    await expect.poll(apart, { timeout: 15_000 }).toBeLessThanOrEqual(1);
    await fast.close();
});
