// Builds what the browser loads into public/assets, which is committed: running Silver Parrot needs no Node.
import { build } from 'esbuild';
import { copyFileSync, mkdirSync, rmSync } from 'node:fs';

const out = 'public/assets';
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });

await build({
    entryPoints: { app: 'resources/js/app.js', theme: 'resources/js/theme.js', live: 'resources/js/live.js' },
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    outdir: out,
    legalComments: 'linked',
});
await build({
    entryPoints: { app: 'resources/css/app.css' },
    bundle: true,
    minify: true,
    outdir: out,
    loader: { '.woff2': 'file' },
    assetNames: 'fonts/[name]',
    legalComments: 'linked',
});
copyFileSync('resources/images/parrot.svg', `${out}/parrot.svg`);
