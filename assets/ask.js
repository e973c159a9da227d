import { become, showing } from './page.js';

/** A form that asks for the same page another way: the answer comes in place, and the address follows. */
export function ask() {
    return {
        before: Promise.resolve(),
        send() {
            const form = this.$root;
            const address = `${form.action}?${new URLSearchParams(new FormData(form))}`;
            this.before = this.before.then(() =>
                showing(async () => {
                    const answer = await fetch(address, { headers: { Accept: 'text/html' } });
                    become(await answer.text());
                    window.history.replaceState(null, '', address);
                }),
            );
            return this.before;
        },
    };
}
