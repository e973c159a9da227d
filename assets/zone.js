/** Puts the browser's own time zone where nobody has said another. */
export function zone() {
    return {
        init() {
            const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
            if (here && this.$el.value === this.$el.defaultValue && !this.$el.hasAttribute('aria-invalid')) {
                this.$el.value = here;
            }
        },
    };
}
