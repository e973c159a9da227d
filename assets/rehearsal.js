const STEP = 5;
const PAUSE_MS = 350;

/** A rehearsal runs: the board of each fifth minute, one after the other, until somebody holds it or the day is over. */
export function rehearsal() {
    return {
        running: false,
        minute: 0,
        last: 0,
        init() {
            this.minute = Number(this.$root.dataset.minute);
            this.last = Number(this.$root.dataset.last);
        },
        get word() {
            const button = this.$root.querySelector('[data-play]');
            return this.running ? button.dataset.pause : button.dataset.play;
        },
        async show() {
            const minute = this.minute;
            try {
                const answer = await fetch(`${this.$root.dataset.url}&minute=${minute}`, { headers: { Accept: 'text/html' } });
                const board = await answer.text();
                // A later one may have been asked for meanwhile.
                if (answer.ok && minute === this.minute) {
                    this.$refs.frame.innerHTML = board;
                }
                this.running &&= answer.ok;
            } catch {
                this.running = false;
            }
        },
        async slide(event) {
            this.running = false;
            this.minute = Number(event.target.value);
            await this.show();
        },
        async play() {
            this.running = !this.running;
            if (this.minute >= this.last) {
                this.minute = 0;
            }
            while (this.running && this.minute < this.last) {
                this.minute = Math.min(this.last, this.minute + STEP);
                await this.show();
                await new Promise((done) => setTimeout(done, PAUSE_MS));
            }
            this.running = false;
        },
    };
}
