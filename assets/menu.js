/** Whether the first of two ranks is the better: at the first place in which they differ it is lower. */
function isBefore(one, other) {
    const place = one.findIndex((value, i) => value !== other[i]);
    return place >= 0 && one[place] < other[place];
}

/** Looks for menus that hold, and shows each as soon as a plan has proved it. */
export function menu() {
    return {
        running: false,
        done: 0,
        of: 1,
        says: '',
        asking: null,
        ranks: [],
        async find() {
            this.running = true;
            this.says = '';
            this.done = 0;
            this.$refs.finds.replaceChildren();
            this.ranks = [];
            this.asking = new AbortController();
            const { none, stopped, failed } = this.$refs.words.dataset;
            try {
                const answer = await fetch(this.$root.dataset.url, {
                    method: 'POST',
                    body: new FormData(this.$refs.wish),
                    signal: this.asking.signal,
                });
                if (!answer.ok) {
                    throw new Error('No answer.');
                }
                const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
                let rest = '';
                for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
                    const lines = (rest + piece.value).split('\n');
                    rest = lines.pop();
                    lines.forEach((line) => this.take(JSON.parse(line)));
                }
                this.says = this.$refs.finds.children.length ? '' : none;
            } catch {
                this.says = this.asking.signal.aborted ? stopped : failed;
            }
            this.running = false;
        },
        take({ done, of, html, rank }) {
            this.done = done;
            this.of = of;
            if (html) {
                // The surest and least work stands first, whenever it was found.
                const place = this.ranks.findIndex((other) => isBefore(rank, other));
                const before = place < 0 ? null : this.$refs.finds.children[place];
                this.ranks.splice(place < 0 ? this.ranks.length : place, 0, rank);
                const row = document.createElement('template');
                row.innerHTML = html;
                this.$refs.finds.insertBefore(row.content.firstElementChild, before);
            }
        },
        stop() {
            this.asking?.abort();
        },
    };
}
