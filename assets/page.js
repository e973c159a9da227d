import Alpine from '@alpinejs/csp';

/** Turns the page into what the server answered, keeping focus, scroll and what is being typed. */
export function become(html) {
    const next = new DOMParser().parseFromString(html, 'text/html');
    const page = next.getElementById('page');
    if (!page) {
        throw new Error('The answer holds no page.');
    }
    document.title = next.title;
    Alpine.morph(document.getElementById('page'), page.outerHTML, {
        updating(el, to, _children, skip) {
            // What somebody is in the middle of typing is not overwritten.
            if (
                el === document.activeElement &&
                el.matches?.('input, textarea') &&
                el.value !== el.defaultValue &&
                !to.hasAttribute?.('aria-invalid')
            ) {
                skip();
            }
            if (el.tagName === 'DETAILS' && el.open) {
                to.open = true;
            }
        },
    });
}

/** A line above the page while an answer takes longer than half a second, and when none came. */
export async function showing(work) {
    const page = document.getElementById('page');
    const slow = setTimeout(() => page.setAttribute('aria-busy', 'true'), 500);
    try {
        await work();
        delete document.documentElement.dataset.offline;
    } catch (error) {
        document.documentElement.dataset.offline = 'yes';
        console.error(error);
    } finally {
        clearTimeout(slow);
        document.getElementById('page').removeAttribute('aria-busy');
        document.documentElement.dataset.settled = String(Number(document.documentElement.dataset.settled ?? 0) + 1);
    }
}
