/** Puts the browser's own time zone where nobody has said one yet: the server may stand elsewhere. */
export function zone() {
    return {
        init() {
            this.$el.value = Intl.DateTimeFormat().resolvedOptions().timeZone || this.$el.value;
        },
    };
}
