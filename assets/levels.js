/** A pot in section whose level is moved through the work by a slider. */
export function levels() {
    return {
        move(event) {
            const level = event.target.value;
            for (const path of this.$root.querySelectorAll('[data-level]')) {
                path.setAttribute('visibility', path.dataset.level === level ? 'visible' : 'hidden');
            }
            for (const says of this.$root.querySelectorAll('[data-says]')) {
                says.hidden = says.dataset.says !== level;
                if (!says.hidden) {
                    event.target.setAttribute('aria-valuetext', says.textContent);
                }
            }
        },
    };
}
