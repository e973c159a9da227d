import { become, showing } from './page.js';
import { flush, later, waiting } from './queue.js';
import { canSpeak, isOn, speak, tone, turn } from './sound.js';

const EVERY_MS = 1500;
const FRESH_MS = 60_000;
const HOLD_MS = 2000;
const TAKE_BACK_MS = 10_000;

/** A screen of the cooking day: its clock and countdowns, what was said elsewhere, and what waits for the network. */
export function day() {
    return {
        timers: [],
        offset: 0,
        looked: 0,
        init() {
            this.offset = Number(this.$root.dataset.now) * 1000 - Date.now();
            this.looked = Date.now();
            this.timers = [setInterval(() => this.tick(), 500), setInterval(() => this.look(), EVERY_MS)];
            this.$root.querySelectorAll('[data-sound]').forEach((button) => this.tellSound(button));
            this.wake();
            this.keep();
            this.tick();
        },
        destroy() {
            this.timers.forEach(clearInterval);
        },
        now() {
            // What is said is timed by the kitchen's clock, not by this device's.
            this.$root.dataset.offset = String(this.offset);
            return Date.now() + this.offset;
        },
        tick() {
            const zone = Number(this.$root.dataset.zoneMinutes);
            const local = new Date(this.now() + zone * 1000);
            const clock = this.$root.querySelector('[data-clock]');
            if (clock) {
                clock.textContent = local.toISOString().slice(11, 16);
            }
            for (const element of this.$root.querySelectorAll('[data-countdown]')) {
                const seconds = Math.round(Number(element.dataset.countdown) - this.now() / 1000);
                const words = element.querySelector('b');
                words.textContent = seconds > 0 ? clockLike(seconds) : element.dataset.over;
                if (seconds <= 0 && seconds > -3 && !element.classList.contains('is-over')) {
                    this.call(element);
                }
                element.classList.toggle('is-over', seconds <= 0);
                this.announce(element, seconds);
            }
        },
        /** A minute before closed minutes all that they need is told once. */
        announce(element, seconds) {
            const soon = element.parentElement.querySelector('[data-before]');
            if (soon) {
                const isNear = seconds <= Number(soon.dataset.before);
                if (isNear && !soon.classList.contains('is-near') && isOn() && !this.silent()) {
                    tone('begin');
                    speak(soon.textContent);
                }
                soon.classList.toggle('is-near', isNear);
            }
        },
        async look() {
            if (document.hidden) {
                return;
            }
            await this.waits();
            try {
                const answer = await fetch(this.$root.dataset.state, { headers: { Accept: 'application/json' } });
                const { version, now } = await answer.json();
                this.offset = now * 1000 - Date.now();
                delete document.documentElement.dataset.offline;
                tellRefused(await flush(this.$root.dataset.events));
                await this.waits();
                if (this.$root.querySelector('[data-take-back]')) {
                    return;
                }
                if (String(version) !== this.$root.dataset.version || Date.now() - this.looked > FRESH_MS) {
                    this.looked = Date.now();
                    become(await (await fetch(window.location.href)).text());
                }
            } catch {
                document.documentElement.dataset.offline = 'yes';
            }
        },
        /** From ten minutes before an offering until it is offered nothing sounds, speaks or shakes. */
        silent() {
            return JSON.parse(this.$root.dataset.quietFrom).some((from) => this.now() / 1000 >= from);
        },
        /** A minute has come: seen always, heard where that is wished. */
        call(element) {
            element.classList.add('is-called');
            if (isOn() && !this.silent() && !this.$root.querySelector('[data-stopped]')) {
                tone(element.dataset.tone ?? 'look');
                speak(element.dataset.speech ?? '');
            }
        },
        print() {
            window.print();
        },
        sound(event) {
            turn();
            this.tellSound(event.currentTarget);
        },
        tellSound(button) {
            const { on, off, mute } = button.dataset;
            button.setAttribute('aria-pressed', String(isOn()));
            button.textContent = isOn() ? on + (canSpeak() ? '' : ` (${mute})`) : off;
        },
        async waits() {
            const line = this.$root.querySelector('[data-waits]');
            const count = (await waiting()).length;
            if (line) {
                line.hidden = count === 0;
                line.textContent = `${line.dataset.waits} ${count}`;
            }
        },
        /** What else is wanted of this feast without a network is fetched while there is one. */
        async keep() {
            if (!('serviceWorker' in navigator)) {
                return;
            }
            try {
                await navigator.serviceWorker.register('/sw.js');
                await navigator.serviceWorker.ready;
                const pages = await caches.open('feast-pages');
                for (const page of [window.location.href, ...JSON.parse(this.$root.dataset.keep)]) {
                    const answer = await fetch(page, { headers: { Accept: 'text/html' } });
                    if (answer.ok) {
                        await pages.put(page, answer);
                    }
                }
                document.documentElement.dataset.kept = 'yes';
            } catch (error) {
                console.warn(error);
            }
        },
        /** The screen stays awake where the device allows it; without, the page goes on. */
        async wake() {
            try {
                await navigator.wakeLock?.request('screen');
            } catch {
                // Not on this device, or not now.
            }
        },
    };
}

function clockLike(seconds) {
    const hours = Math.floor(seconds / 3600);
    const minutes = String(Math.floor((seconds % 3600) / 60)).padStart(hours ? 2 : 1, '0');
    return (hours ? `${hours}:` : '') + `${minutes}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Keeps what was said on this device until the server has answered it, and says so. */
async function tell(form) {
    const root = document.getElementById('page');
    const data = Object.fromEntries(new FormData(form));
    const offset = Number(root.dataset.offset ?? 0);
    const event = { id: data.client, at: new Date(Date.now() + offset).toISOString().replace(/\.\d+Z$/, '+00:00'), kind: data.kind };
    for (const field of ['step', 'by', 'event', 'what', 'person']) {
        if (data[field]) {
            event[field] = data[field];
        }
    }
    for (const field of ['bowl', 'part', 'mark']) {
        if (data[field]) {
            event[field] = Number(data[field]);
        }
    }
    if (data.reserve) {
        event.reserve = true;
    }
    const button = form.querySelector('[data-tap]');
    button.disabled = true;
    await later(event);
    form.dataset.said = event.kind;
    let heard = false;
    await showing(async () => {
        const refused = await flush(root.dataset.events);
        heard = true;
        become(await (await fetch(window.location.href)).text());
        tellRefused(refused);
    });
    button.disabled = false;
    if (!heard) {
        saidHere(form, button);
    }
}

/** What was not taken in is said, and stays until the next page. */
function tellRefused(refused) {
    const line = document.querySelector('[data-refused]');
    if (line && refused.length > 0) {
        line.hidden = false;
        line.textContent = `${line.dataset.refused} ${refused.join(' ')}`;
    }
}

/** Without an answer the page goes on by itself: what was begun can be done, what is done is said. */
function saidHere(form, button) {
    if (form.elements.kind.value === 'started') {
        form.elements.kind.value = 'done';
        // In the order of time, as the ids of the server are.
        form.elements.client.value = `${Date.now().toString(16).padStart(12, '0')}-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`;
        button.dataset.tap = 'done';
        button.querySelector('span').textContent = form.dataset.done;
        return;
    }
    button.disabled = true;
    button.querySelector('span').textContent = form.dataset.saidWord;
}

export function say() {
    return {
        submit() {
            return tell(this.$root);
        },
    };
}

/** A tap that steam, drops and elbows can't make: held for two seconds, and ten more to take it back. */
export function press() {
    return {
        held: null,
        submit() {
            // Only what was held long enough counts.
        },
        key(event) {
            if ((event.key === 'Enter' || event.key === ' ') && !event.repeat) {
                this.hold();
            }
        },
        hold() {
            this.release();
            const button = this.$root.querySelector('button');
            button.classList.add('is-held');
            this.held = setTimeout(() => {
                this.held = null;
                button.classList.remove('is-held');
                navigator.vibrate?.(80);
                this.soon(button);
            }, HOLD_MS);
        },
        release() {
            clearTimeout(this.held);
            this.held = null;
            this.$root.querySelector('button').classList.remove('is-held');
        },
        soon(button) {
            const form = this.$root;
            const back = document.createElement('button');
            back.type = 'button';
            back.className = 'thumb take-back';
            back.dataset.takeBack = '';
            back.textContent = form.dataset.back;
            const sending = setTimeout(() => {
                back.remove();
                tell(form);
            }, TAKE_BACK_MS);
            back.addEventListener('click', () => {
                clearTimeout(sending);
                back.remove();
                button.hidden = false;
            });
            button.hidden = true;
            form.append(back);
            back.focus();
        },
    };
}
