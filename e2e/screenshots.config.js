import { defineConfig } from '@playwright/test';
import { server, use } from './settings.js';

// Refreshes the pictures in docs/screenshots/ from the demo data.
export default defineConfig({
    testDir: './screenshots',
    testMatch: '*.shots.js',
    workers: 1,
    reporter: [['line']],
    timeout: 90_000,
    use,
    webServer: { ...server, cwd: new URL('..', import.meta.url).pathname },
});
