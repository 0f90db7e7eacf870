// Exports the client for the web and gives it a service worker that keeps it on the device.
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { generateSW } from 'workbox-build';

const client = join(dirname(fileURLToPath(import.meta.url)), '..');
const dist = join(client, 'dist');
const env = { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' };

const exported = spawnSync('npx', ['expo', 'export', '-p', 'web'], { cwd: client, env, stdio: 'inherit' });
if (exported.status !== 0) process.exit(exported.status ?? 1);

const { count, size, warnings } = await generateSW({
  swDest: join(dist, 'service-worker.js'),
  globDirectory: dist,
  globPatterns: ['**/*.{html,js,css,ttf,png,ico,svg,webmanifest}'],
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
warnings.forEach((warning) => console.warn(warning));
console.log(`Kept for offline: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
