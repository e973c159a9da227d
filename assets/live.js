import { become, showing } from './page.js';

let asked = 0;

/** When and by whom takes longer to find than how much: it is fetched after, unless something was changed meanwhile. */
async function planned() {
    const mine = asked;
    if (document.querySelector('[data-planning]')) {
        const answer = await fetch(window.location.href, { headers: { Accept: 'text/html' } });
        const html = await answer.text();
        if (mine === asked) {
            become(html);
        }
    }
}

/** A form that sends itself when something in it changes, and shows the answer in place. */
export function live() {
    return {
        // Changes go one after the other, so that each is made to what the one before has left.
        before: Promise.resolve(),
        send(event) {
            if (!event.target.hasAttribute('data-still')) {
                this.post(null);
            }
        },
        submit(event) {
            this.post(event.submitter?.name ? { name: event.submitter.name, value: event.submitter.value } : null);
        },
        post(button) {
            // What was meant is what stands there now: an answer in between may turn this form into the next one.
            const form = this.$root;
            const { action } = form;
            const data = new FormData(form);
            asked += 1;
            let taken = false;
            if (button) {
                data.append(button.name, button.value);
            }
            this.before = this.before.then(() =>
                showing(async () => {
                    const version = form.querySelector('[name=version]');
                    if (version) {
                        data.set('version', version.value);
                    }
                    const answer = await fetch(action, { method: 'POST', body: data, headers: { Accept: 'text/html', 'X-At-Once': '1' } });
                    become(await answer.text());
                    taken = answer.ok;
                    // What was refused stays there to be read: no fresh page in its place.
                }).then(() => (taken ? planned().catch(() => {}) : undefined)),
            );
            return this.before;
        },
    };
}
