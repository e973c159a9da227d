import { become } from './page.js';

const ROUNDS = 12;

/** Looks for a better plan in short rounds, so that it can be stopped at any time; the best so far is kept. */
export function search() {
    return {
        running: false,
        round: 0,
        says: '',
        async begin() {
            this.running = true;
            const { url, token } = this.$root.dataset;
            const { better, same, surer } = this.$refs.words.dataset;
            const sure = Number(this.$root.dataset.sure);
            const first = Number(this.$root.dataset.objective);
            let last = null;
            for (this.round = 1; this.round <= ROUNDS && this.running; this.round += 1) {
                const data = new FormData();
                data.set('_token', token);
                data.set('round', String(this.round));
                const answer = await fetch(url, { method: 'POST', body: data, headers: { Accept: 'application/json' } });
                if (!answer.ok) {
                    break;
                }
                last = await answer.json();
                if (last.of100 > sure) {
                    this.says = surer.replace('{was}', sure).replace('{now}', last.of100);
                } else {
                    this.says = last.objective < first ? better.replace('{was}', first).replace('{now}', last.objective) : same;
                }
                if (!last.short && (last.of100 > sure || last.objective === last.bound)) {
                    break;
                }
            }
            this.running = false;
            const page = await fetch(window.location.href, { headers: { Accept: 'text/html' } });
            become(await page.text());
            document.documentElement.dataset.settled = String(Number(document.documentElement.dataset.settled ?? 0) + 1);
        },
        stop() {
            this.running = false;
        },
    };
}
