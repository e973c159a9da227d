import { become, showing } from './page.js';

const POINT = (svg, event) => new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());

/** The writing desk: every change is sent as it is made, one after the other; streams are drawn by dragging. */
export function desk() {
    return {
        before: Promise.resolve(),
        from: null,
        sent: '',
        init() {
            this.sent = this.written();
        },
        /** All that is typed, but for the version. */
        written() {
            const data = new FormData(this.$root);
            data.delete('version');
            return new URLSearchParams(data).toString();
        },
        send(event) {
            if (event.target.name && !event.target.hasAttribute('data-still') && this.written() !== this.sent) {
                this.post();
            }
        },
        submit(event) {
            const button = event.submitter;
            this.post(button?.name ? { [button.name]: button.value } : {});
        },
        addBowl() {
            this.post({ op: 'add-bowl' });
        },
        go(event) {
            this.post({ op: event.currentTarget.dataset.op });
        },
        take(event) {
            const { spout } = event.target.dataset;
            if (spout !== undefined) {
                event.preventDefault();
                this.$refs.map.setPointerCapture(event.pointerId);
                this.from = { step: spout, at: POINT(this.$refs.map, event) };
            }
        },
        draw(event) {
            if (this.from) {
                const { at } = this.from;
                const to = POINT(this.$refs.map, event);
                const bend = Math.max(20, Math.abs(to.x - at.x) / 2);
                this.$refs.drag.setAttribute('d', `M${at.x} ${at.y} C${at.x + bend} ${at.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`);
            }
        },
        drop(event) {
            if (this.from) {
                const { step } = this.from;
                this.letGo();
                const under = document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-step]');
                if (under && under.dataset.step !== step) {
                    this.post({ op: 'connect', from: step, to: under.dataset.step });
                }
            }
        },
        letGo() {
            this.from = null;
            this.$refs.drag.setAttribute('d', '');
        },
        post(more = {}) {
            const form = this.$root;
            const data = new FormData(form);
            Object.entries(more).forEach(([name, value]) => data.set(name, value));
            const { action } = form;
            this.sent = this.written();
            this.before = this.before.then(() =>
                showing(async () => {
                    data.set('version', document.querySelector('.desk [name=version]')?.value ?? data.get('version'));
                    const answer = await fetch(action, { method: 'POST', body: data, headers: { Accept: 'text/html' } });
                    const untouched = this.written() === this.sent;
                    become(await answer.text());
                    if (untouched) {
                        this.sent = this.written();
                    }
                    if (answer.ok) {
                        window.history.replaceState(null, '', answer.url);
                    }
                }),
            );
            return this.before;
        },
    };
}
