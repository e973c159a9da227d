import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

// What a cook has opened of a feast stays on the device: its screens, cards, run sheet and recipe pages. What is asked of the state of the
// day is never answered from here.
const PAGES = /^\/(feasts\/\d+\/(board|cook|mine\/[a-z0-9-]+|run-sheet|cards|stores|day\/(what|stop).*)|recipes\/.*)$/;

self.skipWaiting();
clientsClaim();

registerRoute(
    ({ url, request }) => request.mode === 'navigate' || (PAGES.test(url.pathname) && request.headers.get('Accept') !== 'application/json'),
    new NetworkFirst({
        cacheName: 'feast-pages',
        networkTimeoutSeconds: 8,
        plugins: [
            {
                cacheWillUpdate: async ({ response }) =>
                    response.status === 200 && PAGES.test(new URL(response.url).pathname) ? response : null,
            },
            new ExpirationPlugin({ maxEntries: 200, maxAgeSeconds: 7 * 24 * 3600 }),
        ],
    }),
);

registerRoute(
    ({ url }) => url.pathname.startsWith('/build/'),
    new CacheFirst({ cacheName: 'feast-build', plugins: [new ExpirationPlugin({ maxEntries: 60 })] }),
);
