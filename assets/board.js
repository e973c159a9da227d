import { become, showing } from './page.js';

const EVERY_MS = 5000;

/** The cooking-day board: asks every few seconds whether somebody ticked a step elsewhere. */
export function board() {
    return {
        timer: null,
        init() {
            this.timer = setInterval(() => this.look(), EVERY_MS);
        },
        destroy() {
            clearInterval(this.timer);
        },
        async look() {
            if (document.hidden) {
                return;
            }
            await showing(async () => {
                const answer = await fetch(this.$root.dataset.state, { headers: { Accept: 'application/json' } });
                const { version } = await answer.json();
                if (String(version) !== this.$root.dataset.version) {
                    become(await (await fetch(window.location.href)).text());
                }
            });
        },
    };
}
