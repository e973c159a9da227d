import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const WORKERS = '3';
const TRIES = 300;
const EVERY_MS = 50;

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** A demo with data of its own, served in an environment, by a server that can be killed. */
export class ServedDemo {
    constructor(port, environment) {
        this.base = `http://127.0.0.1:${port}`;
        this.port = port;
        this.data = mkdtempSync(join(tmpdir(), 'feast-ladle-'));
        this.env = { ...process.env, DATA_DIR: this.data, APP_ENV: environment, APP_DEBUG: '0', APP_SECRET: 'only-for-this-run' };
        this.env.PHP_CLI_SERVER_WORKERS = WORKERS;
    }

    php(...args) {
        execFileSync('php', args, { cwd: root, env: this.env, stdio: ['ignore', 'ignore', 'inherit'] });
    }

    prepare() {
        this.php('bin/console', 'doctrine:migrations:migrate', '--no-interaction', '--allow-no-migration', '--quiet');
        this.php('bin/console', 'ladle:setup', '--quiet', '--demo');
    }

    /** Compiles for production what has changed since. */
    warm() {
        execFileSync(join(root, 'bin/warm'), { env: this.env, stdio: ['ignore', 'ignore', 'inherit'] });
    }

    async serve() {
        const settings = ['opcache.enable_cli=1', 'memory_limit=512M', 'variables_order=EGPCS'].flatMap((value) => ['-d', value]);
        const what = ['-S', `127.0.0.1:${this.port}`, '-t', 'public', 'bin/router.php'];
        const start = () => spawn('php', [...settings, ...what], { cwd: root, env: this.env, detached: true, stdio: 'ignore' });
        this.server = start();
        let last = '';
        for (let tries = 0; tries < TRIES; tries += 1) {
            // The last of the workers that were killed may have held the port a moment longer than their parent.
            if (this.server.exitCode !== null) {
                this.server = start();
            }
            try {
                const answer = await fetch(`${this.base}/feasts/1/cook/state`);
                if (answer.ok) {
                    return;
                }
                last = `It answers ${answer.status}.`;
            } catch (error) {
                last = String(error.cause ?? error);
            }
            await wait(EVERY_MS);
        }
        throw new Error(`The server does not come up. ${last}`);
    }

    async kill() {
        const gone = new Promise((resolve) => this.server.once('exit', resolve));
        try {
            process.kill(-this.server.pid, 'SIGKILL');
        } catch {
            return;
        }
        await gone;
    }

    remove() {
        rmSync(this.data, { recursive: true, force: true });
    }
}

/** The same on a clock that can be set. */
export class ClockedKitchen extends ServedDemo {
    constructor(port) {
        super(port, 'clocked');
    }

    /** @param {number} seconds since 1970 */
    set(seconds) {
        writeFileSync(join(this.data, 'clock'), `${seconds} ${Math.floor(Date.now() / 1000)}`);
        this.seconds = seconds;
    }

    prepare() {
        this.php('bin/console', 'cache:clear', '--quiet');
        super.prepare();
    }

    async end() {
        await this.kill();
        this.remove();
    }
}
