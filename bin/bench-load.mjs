#!/usr/bin/env node
// 50 phones that poll every 2 seconds and 10 that tick every 5 on the temple feast, for a minute, on loopback: how long an answer takes.
// Numbers, no verdicts, but for an answer that is no answer: then it ends with 1. RUN_SECONDS and PORT can be set.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const POLLERS = 50;
const TICKERS = 10;
const POLL_MS = 2000;
const TICK_MS = 5000;
const root = dirname(dirname(fileURLToPath(import.meta.url)));
const port = Number(process.env.PORT ?? 8094);
const runMs = 1000 * Math.min(300, Math.max(5, Number(process.env.RUN_SECONDS ?? 60)));
const data = mkdtempSync(join(tmpdir(), 'feast-ladle-load-'));
const server = spawn(join(root, 'bin/serve'), ['demo'], {
    cwd: root,
    detached: true,
    stdio: 'ignore',
    env: { ...process.env, PORT: String(port), DATA_DIR: data },
});

/** One answer: status, headers, body and the milliseconds it took. */
function ask(path, { cookie = '', form = null } = {}) {
    return new Promise((resolve) => {
        const body = form === null ? null : new URLSearchParams(form).toString();
        const headers = { Cookie: cookie, Accept: form === null ? 'application/json, text/html' : 'text/html' };
        if (body !== null) {
            Object.assign(headers, { 'Content-Type': 'application/x-www-form-urlencoded', 'Content-Length': Buffer.byteLength(body) });
            headers.Origin = `http://127.0.0.1:${port}`;
        }
        const from = performance.now();
        const call = request(
            { host: '127.0.0.1', port, path, method: body === null ? 'GET' : 'POST', headers, agent: false },
            (answer) => {
                const parts = [];
                answer.on('data', (part) => parts.push(part));
                answer.on('end', () => {
                    const text = Buffer.concat(parts).toString();
                    resolve({ status: answer.statusCode, headers: answer.headers, text, ms: performance.now() - from });
                });
            },
        );
        call.on('error', () => resolve({ status: 0, headers: {}, text: '', ms: performance.now() - from }));
        call.setTimeout(30_000, () => call.destroy());
        call.end(body ?? undefined);
    });
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const told = { state: [], tick: [] };
const errors = new Map();

function note(kind, answer, wanted) {
    told[kind].push(answer.ms);
    if (answer.status !== wanted) {
        errors.set(`${kind} ${answer.status}`, (errors.get(`${kind} ${answer.status}`) ?? 0) + 1);
    }
}

/** Looks at the board once, as a phone does, and then does its work in its rhythm until the time is over. */
async function phone(number, until) {
    const ticks = number >= POLLERS;
    const page = await ask('/feasts/2/cook');
    const cookie = (page.headers['set-cookie'] ?? []).map((line) => line.split(';')[0]).join('; ');
    const token = /name="_token"\s+value="([^"]+)"/.exec(page.text)?.[1] ?? '';
    const steps = [...page.text.matchAll(/data-step="([^"]+)"/g)].map((match) => match[1]);
    await until.ready;
    const every = ticks ? TICK_MS : POLL_MS;
    let next = until.start + (ticks ? (every * (number - POLLERS)) / TICKERS : (every * number) / POLLERS);
    for (let round = 0; next < until.start + runMs; ++round, next += every) {
        await pause(Math.max(0, next - performance.now()));
        if (ticks) {
            const form = { _token: token, kind: round % 2 === 0 ? 'done' : 'undone', step: steps[0] ?? '', client: randomUUID() };
            note('tick', await ask('/feasts/2/cook/events', { cookie, form }), 303);
        } else {
            note('state', await ask('/feasts/2/cook/state', { cookie }), 200);
        }
    }
}

try {
    for (let tries = 0; tries < 300 && (await ask('/recipes')).status !== 200; ++tries) {
        await pause(200);
    }
    let go;
    const until = { ready: new Promise((resolve) => (go = resolve)), start: 0 };
    const phones = Array.from({ length: POLLERS + TICKERS }, (_, number) => phone(number, until));
    await pause(15_000);
    until.start = performance.now();
    go();
    await Promise.all(phones);
    for (const [kind, times] of Object.entries(told)) {
        times.sort((a, b) => a - b);
        const at = (share) => Math.round(times[Math.floor(share * (times.length - 1))] ?? 0);
        console.log(
            `${kind.padEnd(6)} ${times.length} answers: median ${at(0.5)} ms, 95 of 100 within ${at(0.95)} ms, longest ${at(1)} ms`,
        );
    }
    console.log(errors.size === 0 ? 'no errors' : [...errors].map(([what, count]) => `${count} × ${what}`).join(', '));
    process.exitCode = errors.size === 0 && told.state.length > 0 && told.tick.length > 0 ? 0 : 1;
} finally {
    process.kill(-server.pid, 'SIGTERM');
    rmSync(data, { recursive: true, force: true });
}
