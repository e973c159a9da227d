import { become, showing } from './page.js';

/** A form that sends itself when something in it changes, and shows the answer in place. */
export function live() {
    return {
        sending: null,
        send(event) {
            if (event.target.hasAttribute('data-still')) {
                return;
            }
            this.post(null);
        },
        submit(event) {
            this.post(event.submitter);
        },
        post(submitter) {
            const form = this.$root;
            const data = new FormData(form);
            if (submitter?.name) {
                data.append(submitter.name, submitter.value);
            }
            // A newer change makes an older answer worthless.
            this.sending?.abort();
            const control = new AbortController();
            this.sending = control;
            return showing(async () => {
                try {
                    const answer = await fetch(form.action, { method: 'POST', body: data, signal: control.signal, headers: { Accept: 'text/html' } });
                    become(await answer.text());
                } catch (error) {
                    if (error.name !== 'AbortError') {
                        throw error;
                    }
                }
            });
        },
    };
}
