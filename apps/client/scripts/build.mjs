// Exports the client for the web and gives it a service worker that keeps it on the device.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import subset from 'subset-font';
import { generateSW } from 'workbox-build';

const client = join(dirname(fileURLToPath(import.meta.url)), '..');
const dist = join(client, 'dist');
const env = { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' };

const exported = spawnSync('npx', ['expo', 'export', '-p', 'web'], { cwd: client, env, stdio: 'inherit' });
if (exported.status !== 0) process.exit(exported.status ?? 1);

// what reads PDFs loads itself when one is brought in: it is kept as it comes
const require = createRequire(import.meta.url);
const pdf = join(dirname(require.resolve('pdfjs-dist/package.json')), 'build');
mkdirSync(join(dist, 'pdf'), { recursive: true });
for (const file of ['pdf.min.mjs', 'pdf.worker.min.mjs']) cpSync(join(pdf, file), join(dist, 'pdf', file));

// of each font what a plan may have to say: Latin letters with all their accents, figures, fractions and the signs beside them
const run = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join('');
const LETTERS = `${run(0x20, 0x7e)}${run(0xa0, 0x17f)}${run(0x2010, 0x203a)}⁄€™−×≈≠≤≥±∅⌀√Δσ²³½¼¾⅛⅜⅝⅞→←↑↓`;
for (const entry of readdirSync(dist, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile() || !entry.name.endsWith('.ttf')) continue;
  const path = join(entry.parentPath, entry.name);
  writeFileSync(path, await subset(readFileSync(path), LETTERS, { targetFormat: 'sfnt' }));
}

// a PDF takes of a face what it needs, whatever a person has written: for that they are there whole
mkdirSync(join(dist, 'fonts'), { recursive: true });
for (const [name, font] of [
  ['text', 'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular'],
  ['title', 'fraunces/600SemiBold/Fraunces_600SemiBold'],
])
  cpSync(require.resolve(`@expo-google-fonts/${font}.ttf`), join(dist, 'fonts', `${name}.ttf`));

const { count, size, warnings } = await generateSW({
  swDest: join(dist, 'service-worker.js'),
  globDirectory: dist,
  globPatterns: ['**/*.{html,js,mjs,css,ttf,png,ico,svg,webmanifest}'],
  globIgnores: ['**/service-worker.js'],
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/healthz/],
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
  maximumFileSizeToCacheInBytes: 8e6,
  inlineWorkboxRuntime: true,
  clientsClaim: true,
  skipWaiting: true,
  sourcemap: false,
});
// packed once here, and not on every request: what each visit brings as small as it gets, the rest, 2 % larger, in half the time
const PACKED = /\.(js|mjs|css|html|json|svg|ttf|ico|webmanifest)$/;
const EACH_VISIT = /^(index|__|heart|_layout)/;
const [brotli, gzipped] = [promisify(brotliCompress), promisify(gzip)];
await Promise.all(
  readdirSync(dist, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && PACKED.test(entry.name))
    .map(async ({ parentPath, name }) => {
      const path = join(parentPath, name);
      const bytes = readFileSync(path);
      const params = {
        [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
        [constants.BROTLI_PARAM_QUALITY]: EACH_VISIT.test(name) ? 11 : 10,
      };
      writeFileSync(`${path}.br`, await brotli(bytes, { params }));
      writeFileSync(`${path}.gz`, await gzipped(bytes, { level: 9 }));
    }),
);

warnings.forEach((warning) => console.warn(warning));
console.log(`Kept for offline: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
