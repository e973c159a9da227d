/** Day or night light, remembered in a cookie so that the server draws the page right from the start. */
export function lamp() {
    return {
        turn() {
            const root = document.documentElement;
            const night = root.dataset.light !== 'night';
            root.dataset.light = night ? 'night' : 'day';
            root.dataset.bsTheme = night ? 'dark' : 'light';
            document.cookie = `light=${root.dataset.light}; path=/; max-age=31536000; samesite=strict`;
        },
    };
}
