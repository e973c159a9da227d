import { become, showing } from './page.js';

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
            if (button) {
                data.append(button.name, button.value);
            }
            this.before = this.before.then(() =>
                showing(async () => {
                    const version = form.querySelector('[name=version]');
                    if (version) {
                        data.set('version', version.value);
                    }
                    const answer = await fetch(action, { method: 'POST', body: data, headers: { Accept: 'text/html' } });
                    become(await answer.text());
                }),
            );
            return this.before;
        },
    };
}
