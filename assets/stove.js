/** The stove at any minute: everything that carries a span of instants is shown while the slider stands in it. */
export function stove() {
    return {
        move(event) {
            const now = Number(event.target.value);
            for (const item of this.$root.querySelectorAll('[data-from]')) {
                const shown = Number(item.dataset.from) <= now && now < Number(item.dataset.to);
                if (item instanceof SVGElement) {
                    item.setAttribute('visibility', shown ? 'visible' : 'hidden');
                } else {
                    item.hidden = !shown;
                }
            }
            for (const instant of this.$root.querySelectorAll('[data-instant]')) {
                instant.hidden = Number(instant.dataset.instant) !== now;
                if (!instant.hidden) {
                    event.target.setAttribute('aria-valuetext', instant.textContent);
                }
            }
        },
    };
}
