import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The demo, served on a clock that can be set, by a server that can be killed. */
export class ClockedKitchen {
    constructor(port) {
        this.base = `http://127.0.0.1:${port}`;
        this.port = port;
        this.data = mkdtempSync(join(tmpdir(), 'feast-ladle-clocked-'));
        this.env = { ...process.env, DATA_DIR: this.data, APP_ENV: 'clocked', APP_DEBUG: '0', APP_SECRET: 'only-for-this-run' };
        this.env.PHP_CLI_SERVER_WORKERS = '3';
    }

    /** @param {number} seconds since 1970 */
    set(seconds) {
        writeFileSync(join(this.data, 'clock'), `${seconds} ${Math.floor(Date.now() / 1000)}`);
        this.seconds = seconds;
    }

    prepare() {
        const php = (...args) => execFileSync('php', args, { env: this.env, stdio: ['ignore', 'ignore', 'inherit'] });
        php('bin/console', 'cache:clear', '--quiet');
        php('bin/console', 'doctrine:migrations:migrate', '--no-interaction', '--allow-no-migration', '--quiet');
        php('bin/console', 'ladle:setup', '--quiet', '--demo');
    }

    async serve() {
        const settings = ['opcache.enable_cli=1', 'memory_limit=512M', 'variables_order=EGPCS'].flatMap((value) => ['-d', value]);
        this.server = spawn('php', [...settings, '-S', `127.0.0.1:${this.port}`, '-t', 'public', 'bin/router.php'], {
            env: this.env,
            detached: true,
            stdio: 'ignore',
        });
        for (let tries = 0; tries < 300; tries += 1) {
            try {
                if ((await fetch(`${this.base}/feasts/1/cook/state`)).ok) {
                    return;
                }
            } catch {
                await new Promise((resolve) => setTimeout(resolve, 50));
            }
        }
        throw new Error('The server does not come up.');
    }

    async kill() {
        const gone = new Promise((resolve) => this.server.once('exit', resolve));
        process.kill(-this.server.pid, 'SIGKILL');
        await gone;
    }

    async end() {
        await this.kill();
        rmSync(this.data, { recursive: true, force: true });
    }
}
