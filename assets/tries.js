/** Everything that may be tried, one after the other; what mends the plan and changes least comes to stand first. */
export function tries() {
    return {
        running: false,
        at: 0,
        init() {
            if (this.$root.hasAttribute('data-begin')) {
                this.all();
            }
        },
        async all() {
            this.running = true;
            this.at = 0;
            const found = [];
            const rows = [...this.$refs.list.querySelectorAll('[data-try]')];
            for (const [place, row] of rows.entries()) {
                if (!this.running) {
                    break;
                }
                const answer = await fetch(this.$root.dataset.verdict, {
                    method: 'POST',
                    headers: { Accept: 'application/json' },
                    body: new URLSearchParams({ try: row.dataset.try, _token: this.$root.dataset.token }),
                });
                if (answer.ok) {
                    const verdict = await answer.json();
                    row.querySelector('[data-verdict]').textContent = verdict.says;
                    row.dataset.mends = verdict.mends ? 'yes' : 'no';
                    found.push({ row, place, ...verdict });
                }
                this.at = place + 1;
            }
            const better = (a, b) => b.out - a.out || (b.won ?? -1e9) - (a.won ?? -1e9);
            found.sort(
                (a, b) =>
                    Number(b.mends) - Number(a.mends) ||
                    (a.mends ? Math.round((b.points - a.points) / 5) : better(a, b)) ||
                    a.place - b.place,
            );
            const rest = rows.filter((row) => !found.some((one) => one.row === row));
            this.$refs.list.append(...found.map((one) => one.row), ...rest);
            this.running = false;
        },
        stop() {
            this.running = false;
        },
    };
}
