import { openDB } from 'idb';

const STORE = 'said';
const MOST_AT_ONCE = 100;

const opened = () =>
    openDB('feast-ladle-day', 1, {
        upgrade(db) {
            db.createObjectStore(STORE, { keyPath: 'id' });
        },
    });

let running = Promise.resolve();

/** Keeps an event on this device until the server has answered it. */
export async function later(event) {
    await (await opened()).put(STORE, { ...event, to: location.pathname.match(/^\/feasts\/\d+/)?.[0] ?? '' });
}

export async function waiting() {
    return (await opened()).getAll(STORE);
}

/** Sends what waits, one part after the other; what was taken or refused for good waits no longer. Why it was refused is the answer. */
export function flush(address) {
    running = running.catch(() => {}).then(() => send(address));
    return running;
}

async function send(address) {
    const told = [];
    const db = await opened();
    const feast = address.match(/^\/feasts\/\d+/)?.[0] ?? '';
    const mine = (await db.getAll(STORE)).filter((event) => event.to === feast);
    for (let from = 0; from < mine.length; from += MOST_AT_ONCE) {
        const events = mine.slice(from, from + MOST_AT_ONCE).map(({ to: _to, ...event }) => event);
        const answer = await fetch(address, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-Day-Token': 'csrf-token' },
            body: JSON.stringify({ events }),
        });
        if (answer.status !== 200 && answer.status !== 422 && answer.status !== 409) {
            throw new Error(`The kitchen's computer answered ${answer.status}.`);
        }
        const { taken, refused } = await answer.json();
        for (const id of [...taken, ...refused.map((r) => r.id)]) {
            if (id !== null) {
                await db.delete(STORE, id);
            }
        }
        told.push(...refused.flatMap(({ faults }) => faults.map((fault) => fault.says)));
    }
    return told;
}
