import { expect, test } from '@playwright/test';
import { readFileSync, readdirSync, statSync, utimesSync } from 'node:fs';
import { open } from './kitchen.js';

// How it is served: what is kept belongs to whoever serves it, what is built travels once, a phone that asks stays known.
const data = 'var/e2e';

test('only who serves it reads what is kept, and an empty secret is made anew', async ({ page }) => {
    await open(page, '/feasts/1/cook');
    expect(readFileSync(`${data}/secret`, 'utf8').trim()).toMatch(/^[0-9a-f]{64}$/);
    const sessions = readdirSync(`${data}/sessions`).map((name) => `sessions/${name}`);
    expect(sessions.length).toBeGreaterThan(0);
    const books = readdirSync(data).filter((name) => name.includes('.db') || name.includes('.sqlite'));
    expect(books.length).toBeGreaterThan(0);
    for (const name of ['secret', 'sessions', 'kept', ...books, ...sessions]) {
        expect(`${name} ${(statSync(`${data}/${name}`).mode & 0o077).toString(8)}`).toBe(`${name} 0`);
    }
});

test('styles and scripts come compressed, are kept for a year, and are asked for by their tag', async ({ page, request }) => {
    await open(page, '/recipes');
    const built = await page.evaluate(() => [
        ...[...document.querySelectorAll('link[rel=stylesheet]')].map((link) => link.getAttribute('href')),
        ...[...document.querySelectorAll('script[src]')].map((script) => script.getAttribute('src')),
    ]);
    expect(built.length).toBeGreaterThan(1);
    for (const path of built) {
        const first = await request.get(path, { headers: { 'Accept-Encoding': 'gzip' } });
        expect(first.headers()['cache-control']).toBe('public, max-age=31536000, immutable');
        expect(first.headers()['content-encoding']).toBe('gzip');
        const again = await request.get(path, { headers: { 'If-None-Match': first.headers().etag } });
        expect(again.status()).toBe(304);
        expect((await again.body()).length).toBe(0);
        const plain = await request.get(path, { headers: { 'Accept-Encoding': 'identity' } });
        expect(plain.headers()['content-encoding']).toBeUndefined();
        expect((await plain.body()).equals(await first.body())).toBe(true);
    }
});

test('a phone that asks how the day goes stays known for as long as it asks', async ({ page, context }) => {
    await open(page, '/feasts/1/cook');
    const cookie = (await context.cookies()).find((c) => c.name === 'PHPSESSID');
    const file = `${data}/sessions/sess_${cookie.value}`;
    const yesterday = new Date(Date.now() - 86_400_000);
    utimesSync(file, yesterday, yesterday);
    const asked = Date.now();
    expect((await context.request.get('/feasts/1/cook/state')).status()).toBe(200);
    expect(statSync(file).mtimeMs).toBeGreaterThan(asked - 5_000);
});
