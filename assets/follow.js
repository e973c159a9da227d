import { become, showing } from './page.js';

// Going back loads the page that was left.
window.addEventListener('popstate', () => window.location.reload());

/** A link that turns this page into the next one in place, keeping scroll; the address follows. */
export function follow() {
    return {
        here(event) {
            if (event.metaKey || event.ctrlKey || event.shiftKey) {
                return;
            }
            event.preventDefault();
            const { href } = this.$el;
            showing(async () => {
                const answer = await fetch(href, { headers: { Accept: 'text/html' } });
                become(await answer.text());
                window.history.pushState({ followed: true }, '', href);
            });
        },
    };
}
