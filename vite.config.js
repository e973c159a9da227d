import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { defineConfig } from 'vite';

/** Writes the flat manifest that Symfony's asset component reads: name → address. */
const flatManifest = () => ({
    name: 'flat-manifest',
    generateBundle(_options, bundle) {
        const manifest = {};
        for (const file of Object.values(bundle)) {
            if (file.type === 'chunk' && file.isEntry && file.name === 'app') {
                manifest['app.js'] = `/build/${file.fileName}`;
            } else if (file.fileName.endsWith('.css')) {
                manifest['app.css'] = `/build/${file.fileName}`;
            }
        }
        this.emitFile({ type: 'asset', fileName: 'manifest.json', source: JSON.stringify(manifest, null, 2) });
    },
});

/** Puts a compressed copy beside every style and script, so that none is compressed while somebody waits. */
const packed = () => ({
    name: 'packed',
    writeBundle({ dir }) {
        for (const name of readdirSync(dir, { recursive: true })) {
            if (/\.(css|js)$/.test(name)) {
                writeFileSync(join(dir, `${name}.gz`), gzipSync(readFileSync(join(dir, name)), { level: 9 }));
            }
        }
    },
});

export default defineConfig({
    base: '/build/',
    publicDir: false,
    build: {
        outDir: 'public/build',
        emptyOutDir: true,
        assetsInlineLimit: 0,
        modulePreload: false,
        rollupOptions: {
            input: { app: 'assets/app.js', sw: 'assets/sw.js' },
            // The worker is asked for by one name for ever.
            output: { entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js') },
        },
    },
    css: {
        preprocessorOptions: {
            scss: { silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'], quietDeps: true },
        },
    },
    plugins: [flatManifest(), packed()],
});
