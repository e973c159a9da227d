import { expect, test } from '@playwright/test';
import { ClockedKitchen } from './served.js';

// One day of the home feast from its first step to its last, on two phones, by a clock that is set from minute to minute.
const kitchen = new ClockedKitchen(Number(process.env.CLOCKED_PORT ?? 8097));
const at = (time) => Date.parse(`2031-11-15T${time}:00+05:30`) / 1000;
const moments = { offering: at('18:00'), sitting: at('18:40') };

test.beforeAll(async () => {
    // The demo's feast is on the Saturday that comes.
    kitchen.set(Date.parse('2031-11-10T09:00:00+05:30') / 1000);
    kitchen.prepare();
    kitchen.set(at('11:15'));
    await kitchen.serve();
});
test.afterAll(() => kitchen.end());

test('when the offering can no longer be met, each mend that is offered was planned, and saves it', async ({ page }) => {
    // Planned in the morning; at two the milk is not even warm: the offering is lost, and said to be.
    await page.goto(`${kitchen.base}/feasts/1/board`);
    await expect(page.locator('.lanes')).toBeVisible();
    kitchen.set(at('14:00'));
    await page.goto(`${kitchen.base}/feasts/1/board`);
    await expect(page.locator('[data-moment=offering]')).toContainText('late');
    await page.goto(`${kitchen.base}/feasts/1/day/mends`);
    const mend = page.locator('[data-mend=moment]').first();
    await expect(mend).toBeVisible();
    const left = await mend.locator('.quiet-word').textContent();
    await mend.getByRole('button', { name: 'So be it' }).click();
    await expect(page).toHaveURL(/board$/);
    await expect(page.locator('[data-moment=offering]')).not.toContainText('18:00');
    // The quiet before it moves with it.
    const quiet = JSON.parse(await page.locator('#page').getAttribute('data-quiet-from'));
    expect(quiet[0]).toBeGreaterThan(moments.offering - 600);
    if (left === 'Then nothing is late.') {
        await expect(page.locator('[data-moment=offering]')).not.toContainText('late');
    }
    const { events } = await (await page.request.get(`${kitchen.base}/feasts/1/day-log.json`)).json();
    const moved = events.find((event) => event.kind === 'moment');
    await page.goto(`${kitchen.base}/feasts/1/day/said`);
    await page.locator(`[data-said="${moved.id}"]`).getByRole('button', { name: 'Take it back' }).click();
    await expect(page.locator(`[data-said="${moved.id}"]`)).toHaveClass(/is-withdrawn/);
    kitchen.set(at('11:15'));
});

/** A phone, and what was tapped on it. */
class Phone {
    constructor(page, person, tapped) {
        Object.assign(this, { page, person, tapped, ends: new Map() });
    }

    static async of(browser, person, tapped) {
        const context = await browser.newContext({ baseURL: kitchen.base, viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
        const page = await context.newPage();
        await page.clock.install({ time: kitchen.seconds * 1000 });
        return new Phone(page, person, tapped);
    }

    async open() {
        await this.page.clock.setSystemTime(kitchen.seconds * 1000);
        await this.page.goto(`/feasts/1/mine/${this.person}`);
        await expect(this.page.locator('html')).toHaveAttribute('data-ready', 'yes');
    }

    /** What may be tapped: its step, begin or done, the form, and when it is time for it. */
    async cards() {
        const read = await this.page.evaluate(() => {
            const form = (element) => element?.querySelector('form:has([data-tap])');
            const main = document.querySelector('.my-step');
            const cards = [];
            if (main) {
                const tap = form(document.querySelector('.my-foot .my-taps'));
                const time = Number(main.querySelector('[data-countdown]').dataset.countdown);
                cards.push({ step: main.dataset.step, kind: tap.elements.kind.value, time, place: '.my-taps' });
            }
            for (const beside of document.querySelectorAll('[data-beside]')) {
                const [from, until] = beside.querySelector('.time').textContent.match(/\d\d:\d\d/g);
                const kind = form(beside).elements.kind.value;
                const step = beside.dataset.beside;
                cards.push({ step, kind, clock: kind === 'done' ? until : from, place: `[data-beside="${step}"]` });
            }
            const next = document.querySelector('.my-next .time')?.textContent;
            return { cards, next };
        });
        for (const card of read.cards) {
            card.time ??= at(card.clock);
            if (card.kind === 'done') {
                // When it was begun it was told until when; what is left is told anew every minute and never runs out.
                this.ends.has(card.step) || this.ends.set(card.step, card.time);
                card.time = this.ends.get(card.step);
            }
        }
        return { cards: read.cards, times: [...read.cards.map((card) => card.time), ...(read.next ? [at(read.next)] : [])] };
    }

    async tap({ step, kind, place }, isHeard = true) {
        const button = this.page.locator(`${place} [data-tap]`).first();
        if (await button.evaluate((b) => b.classList.contains('is-long'))) {
            await button.focus();
            await this.page.keyboard.down('Enter');
            await this.page.clock.runFor(2100);
            await this.page.keyboard.up('Enter');
            await expect(this.page.locator('[data-take-back]')).toBeVisible();
            const answer = this.page.waitForResponse((r) => r.url().includes('/day/events'));
            await this.page.clock.runFor(10_100);
            await answer;
        } else if (isHeard) {
            await Promise.all([this.page.waitForResponse((r) => r.url().includes('/day/events')), button.click()]);
        } else {
            await button.click();
        }
        this.tapped.push(`${kind} ${step} ${this.person}`);
    }

    async agree() {
        const yes = this.page.getByRole('button', { name: 'So be it' });
        if (await yes.isVisible()) {
            await yes.click();
            await expect(this.page.locator('html')).toHaveAttribute('data-ready', 'yes');
            this.tapped.push(`answered ${this.person}`);
        }
    }
}

test('the home feast is cooked through on two phones', async ({ browser }) => {
    test.setTimeout(600_000);
    const tapped = [];
    const asha = await Phone.of(browser, 'asha', tapped);
    const nilu = await Phone.of(browser, 'nilu', tapped);
    const once = new Set();
    const first = (what) => !once.has(what) && Boolean(once.add(what));
    for (let turns = 0; turns < 200; turns += 1) {
        const times = [];
        for (const phone of [asha, nilu]) {
            await phone.open();
            await phone.agree();
            // All that is due is tapped, one after the other.
            for (let taps = 0; taps < 8; taps += 1) {
                const { cards } = await phone.cards();
                const card = cards.find((c) => c.time <= kitchen.seconds + 1);
                if (!card) {
                    break;
                }
                if (card.step === 'basundi/1/cool' && card.kind === 'started' && first('offline')) {
                    await tenMinutesOffline(phone, card);
                } else if (card.step === 'barfi/1/cook' && card.kind === 'started' && first('killed')) {
                    await whileTheServerIsDead(phone, card);
                } else {
                    await phone.tap(card);
                }
                if (card.kind === 'started' && card.step === 'balls/1/dough' && first('slip')) {
                    await secondWay(phone, card.step);
                }
                await phone.open();
                await phone.agree();
            }
            times.push(...(await phone.cards()).times);
        }
        if (kitchen.seconds >= at('11:39') && first('reading')) {
            await reading(asha);
        }
        if (kitchen.seconds >= at('16:31') && first('left')) {
            await say(nilu, 'Called away', 'left');
        } else if (kitchen.seconds >= at('16:41') && first('came')) {
            await say(nilu, 'I am back', 'came');
        }
        const later = times.filter((time) => time > kitchen.seconds);
        if (later.length === 0) {
            break;
        }
        kitchen.set(Math.min(...later, ...['11:40', '16:31', '16:42'].map(at).filter((time) => time > kitchen.seconds)));
    }
    expect([...once].sort()).toEqual(['came', 'killed', 'left', 'offline', 'reading', 'slip']);

    kitchen.set(Math.max(kitchen.seconds, moments.offering));
    const { events } = await (await asha.page.request.get('/feasts/1/day-log.json')).json();
    const said = events.filter((event) => !['replanned', 'moment', 'withdrawn'].includes(event.kind)).map((event) =>
        [event.kind, ...(event.step && !['slipped'].includes(event.kind) ? [event.step] : []), event.by].filter(Boolean).join(' '));
    expect(said.sort()).toEqual(tapped.sort());
    const done = (dish) => events.filter((e) => e.kind === 'done' && e.step.startsWith(`${dish}/`));
    const ready = (dish) => Math.max(...done(dish).map((e) => Date.parse(e.at) / 1000));
    for (const dish of ['kesari', 'balls', 'barfi', 'basundi']) {
        expect(ready(dish), dish).toBeLessThanOrEqual(moments.offering);
    }
    await asha.page.goto('/feasts/1/board');
    await expect(asha.page.locator('[data-moment=offering]')).toContainText('18:00');
    await asha.page.getByRole('button', { name: /^Offered/ }).click();
    await expect(asha.page.locator('[data-offering]')).toHaveCount(0);
    await serving(asha.page);
});

/** Once it is offered the pots are tasted; trays empty, and what was planned is compared with what was. */
async function serving(page) {
    await page.goto('/feasts/1/day/serving');
    const adjust = page.locator('[data-adjust-dish=basundi]').first();
    await expect(adjust).toContainText('a tenth sweeter');
    await adjust.getByRole('button', { name: 'Say so' }).click();
    await expect(page).toHaveURL(/serving$/);
    kitchen.set(moments.sitting + 1200);
    await page.goto('/feasts/1/day/serving');
    const tray = page.locator('[data-serving=sitting] [data-tray=barfi]');
    await tray.getByLabel('Guests served so far').fill('14');
    await tray.getByRole('button', { name: 'three quarters' }).click();
    await expect(tray.locator('.last-ladle')).toContainText('14 still to come');
    expect(Number(await tray.locator('.last-ladle').getAttribute('data-chance'))).toBeLessThan(20);
    await page.goto('/feasts/1/run-sheet');
    await expect(page.locator('[data-now-line]')).toHaveCount(1);
    await expect(page.locator('[data-today]')).toBeVisible();
    await page.goto('/feasts/1/day/real');
    const row = page.locator('[data-real="basundi/1/boil"]');
    await expect(row).toContainText('11:19');
    await expect(row).toContainText('12:05');
    await page.goto('/feasts/1/afterwards');
    await expect(page.locator('[data-from-day]')).toBeVisible();
    const made = page.getByLabel('Made, Coconut and rose barfi');
    expect(Number(await made.inputValue())).toBeGreaterThan(20);
    await expect(page.getByLabel('Left over, Coconut and rose barfi')).not.toHaveValue('');
}

/** The network goes when the step begins and is back ten minutes later; nobody waits for it. */
async function tenMinutesOffline(phone, card) {
    await phone.page.context().setOffline(true);
    await phone.tap(card, false);
    await expect(phone.page.locator('.my-foot [data-tap=done]')).toBeVisible();
    kitchen.set(kitchen.seconds + 600);
    await phone.page.clock.fastForward(600_000);
    await phone.tap({ ...card, kind: 'done' }, false);
    await phone.page.clock.runFor(1600);
    await expect(phone.page.locator('[data-waits]')).toHaveText('Taps that wait for the network: 2');
    await phone.page.context().setOffline(false);
    await flows(phone);
}

async function whileTheServerIsDead(phone, card) {
    await kitchen.kill();
    await phone.tap(card, false);
    await phone.page.clock.runFor(1600);
    await expect(phone.page.locator('[data-waits]')).toHaveText('Taps that wait for the network: 1');
    await kitchen.serve();
    await flows(phone);
}

async function flows(phone) {
    await expect
        .poll(
            async () => {
                await phone.page.clock.runFor(1600);
                return phone.page.locator('[data-waits]').isHidden();
            },
            { timeout: 30_000 },
        )
        .toBe(true);
}

async function secondWay(phone, step) {
    await phone.open();
    await phone.page.getByRole('link', { name: 'What happened?' }).click();
    await phone.page.getByRole('button', { name: 'Too wet or too loose' }).click();
    await phone.page.locator('[data-way]').nth(1).getByRole('button', { name: 'This way' }).click();
    await expect(phone.page.locator('.my-step')).toBeVisible();
    phone.tapped.push(`slipped ${phone.person}`, `answered ${phone.person}`);
    phone.ends.delete(step);
}

async function reading(phone) {
    await phone.open();
    await phone.page.getByText('Measure it').click();
    await phone.page.getByLabel('How warm').fill('60');
    await phone.page.getByRole('button', { name: 'Say so' }).click();
    await expect(phone.page.locator('.my-step')).toBeVisible();
    phone.tapped.push(`reading ${phone.person}`);
    phone.ends.clear();
}

async function say(phone, button, kind) {
    await phone.open();
    await phone.page.getByRole('button', { name: button }).click();
    await expect(phone.page.locator('html')).toHaveAttribute('data-ready', 'yes');
    phone.tapped.push(`${kind} ${phone.person}`);
}
