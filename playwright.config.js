import { defineConfig } from '@playwright/test';
import { server, use } from './e2e/settings.js';

// The real interface, served as "make demo" serves it, in Debian's Chromium.
export default defineConfig({
    testDir: 'e2e',
    workers: 2,
    projects: [
        { name: 'looks', testMatch: 'looks.spec.js', fullyParallel: true },
        // Whoever changes the demo works alone in it, one after the other.
        { name: 'works', testMatch: '*.spec.js', testIgnore: 'looks.spec.js', dependencies: ['looks'], workers: 1, fullyParallel: false },
    ],
    forbidOnly: Boolean(process.env.CI),
    reporter: [['list']],
    // Only to end what hangs: a machine under load takes a minute for what else takes five seconds.
    timeout: 180_000,
    use,
    webServer: server,
});
