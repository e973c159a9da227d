const port = process.env.E2E_PORT ?? '8091';

export const base = `http://127.0.0.1:${port}`;

export const use = {
    baseURL: base,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
        executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
        args: [
            '--no-sandbox',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
        ],
    },
};

/** A demo of its own, made anew for every run, beside a secret that was left empty. */
export const server = {
    command: 'rm -rf var/e2e && mkdir -p var/e2e && touch var/e2e/secret && bin/serve demo',
    env: { PORT: port, DATA_DIR: `${process.cwd()}/var/e2e`, WORKERS: '3' },
    url: `${base}/`,
    timeout: 180_000,
    reuseExistingServer: false,
    stdout: 'ignore',
    stderr: 'pipe',
};
