import { become, showing } from './page.js';

const STEP = 5;

/** The run sheet: a step is told about when it is pointed at, and moved by dragging or with the arrow keys. */
export function run() {
    return {
        held: null,
        tell(event) {
            const block = event.target.closest('[data-activity]');
            const row = block && document.getElementById(`step-${block.dataset.row}`);
            if (!row || this.held?.moved) {
                return;
            }
            const says = row.querySelector('.why-then details').cloneNode(true);
            says.querySelector('form')?.remove();
            const slack = document.createElement('b');
            slack.textContent = `${block.getAttribute('aria-label')} · ${says.querySelector('summary').textContent}`;
            says.querySelector('summary').replaceWith(slack, document.createElement('br'));
            this.$refs.says.replaceChildren(...says.childNodes);
        },
        grab(event) {
            const block = event.target.closest('[data-activity]');
            if (block && event.button === 0) {
                this.held = { block, from: event.clientX, minutes: 0, moved: false, id: event.pointerId };
            }
        },
        drag(event) {
            if (!this.held) {
                return;
            }
            const chart = this.$root.querySelector('.chart');
            const scale = chart.viewBox.baseVal.width / chart.getBoundingClientRect().width;
            const minutes = ((event.clientX - this.held.from) * scale) / Number(chart.dataset.perMinute);
            if (!this.held.moved && Math.abs(event.clientX - this.held.from) < 4) {
                return;
            }
            this.held.moved = true;
            this.$root.setPointerCapture(this.held.id);
            this.show(Math.round(minutes / STEP) * STEP);
        },
        drop() {
            if (this.held?.moved && this.held.minutes !== 0) {
                this.send();
            } else {
                this.leave();
            }
        },
        leave() {
            if (this.held) {
                this.show(0);
                this.held = null;
            }
        },
        key(event) {
            const block = event.target.closest('[data-activity]');
            const move = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
            if (!block) {
                return;
            }
            if (move) {
                event.preventDefault();
                if (this.held?.block !== block) {
                    this.leave();
                    this.held = { block, minutes: 0, moved: true };
                }
                this.show(this.held.minutes + move);
            } else if (event.key === 'Enter' && this.held?.block === block && this.held.minutes !== 0) {
                event.preventDefault();
                this.send();
            } else if (event.key === 'Escape') {
                this.leave();
            }
        },
        show(minutes) {
            const { block } = this.held;
            this.held.minutes = minutes;
            const chart = this.$root.querySelector('.chart');
            for (const same of chart.querySelectorAll(`[data-activity="${CSS.escape(block.dataset.activity)}"]`)) {
                same.setAttribute('transform', `translate(${minutes * Number(chart.dataset.perMinute)} 0)`);
            }
            if (minutes !== 0) {
                this.$refs.says.textContent = `${block.getAttribute('aria-label')}: ${minutes > 0 ? '+' : '−'}${Math.abs(minutes)} min`;
            }
        },
        send() {
            const { pins, token, version, by } = this.$root.dataset;
            const { block, minutes } = this.held;
            const { activity } = block.dataset;
            this.held = null;
            const data = new FormData();
            data.set('_token', token);
            data.set('version', version);
            data.set('by', by);
            data.set('step', activity);
            data.set('shift', String(minutes));
            showing(async () => {
                const answer = await fetch(pins, { method: 'POST', body: data, headers: { Accept: 'text/html' } });
                become(await answer.text());
                for (const moved of document.querySelectorAll('.chart [transform]')) {
                    moved.removeAttribute('transform');
                }
                document.querySelector(`.chart [data-activity="${CSS.escape(activity)}"]`)?.focus();
            });
        },
    };
}
