/** npm run build: the application, and the service worker that keeps a running class on a tablet. */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { findReachable } from './reachable.mjs';
import { nextBin, root, run } from './setup.mjs';

const out = path.join(root, '.next');
if (!run(process.execPath, [nextBin, 'build'], { NODE_ENV: 'production' })) process.exit(1);

const { generateSW } = await import('workbox-build');
/** What a class can ask for, and no other page: a tablet keeps it before it may lose its connection. */
const ofClass = new Set(findReachable(out, path.join('(class)', 'floor', '[uid]')));
const swDest = path.join(out, 'floor-sw.js');
const { count, size, warnings } = await generateSW({
  swDest,
  mode: 'production',
  sourcemap: false,
  inlineWorkboxRuntime: true,
  skipWaiting: true,
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  cacheId: 'levitar-floor',
  globDirectory: path.join(out, 'static'),
  // The solver is kept by its own address.
  globPatterns: ['**/*.{js,css,woff2}'],
  modifyURLPrefix: { '': '/_next/static/' },
  maximumFileSizeToCacheInBytes: 6_000_000,
  manifestTransforms: [
    (entries) => ({
      manifest: entries.filter(
        ({ url }) => url.endsWith('.woff2') || ofClass.has(url.replace(/^\/_next\/static\//, '')),
      ),
    }),
  ],
  // The page of the class itself: fresh where there is a connection, else as it was last.
  runtimeCaching: [
    {
      urlPattern: ({ url, request }) =>
        /^\/floor\/[0-9a-f-]{36}$/.test(url.pathname) &&
        (request.mode === 'navigate' || request.headers.get('x-keep') === 'page'),
      handler: 'NetworkFirst',
      options: {
        cacheName: 'levitar-floor-pages',
        networkTimeoutSeconds: 4,
        expiration: { maxEntries: 4, maxAgeSeconds: 2 * 86_400 },
        matchOptions: { ignoreVary: true },
      },
    },
    {
      urlPattern: ({ url }) => url.pathname === '/solver',
      handler: 'NetworkFirst',
      options: { cacheName: 'levitar-floor-solver', networkTimeoutSeconds: 3 },
    },
  ],
});
for (const warning of warnings) console.error(warning);
// The runtime of the package names where its source stands; nothing is fetched from there.
const text = readFileSync(swDest, 'utf8').replace(/\/\/# sourceMappingURL=.*$/m, '');
writeFileSync(swDest, text);
rmSync(`${swDest}.map`, { force: true });
console.log(`› Service worker: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
