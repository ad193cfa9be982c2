// Makes the service worker of a built application: it keeps all of it, so that it opens and reloads without the network.
// `node tools/serviceWorker.mjs FOLDER`, after a build.
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { generateSW } from 'workbox-build';

/** The largest file that is kept, in bytes. */
const LARGEST = 8 * 1024 * 1024;

const [folder] = process.argv.slice(2);
if (!folder) throw new Error('node tools/serviceWorker.mjs FOLDER');

const source = readFileSync('src/serviceWorker/reminderNotices.ts', 'utf8');
const { outputText } = ts.transpileModule(source, {
  compilerOptions: { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.None, removeComments: true },
});
writeFileSync(path.join(folder, 'reminder-notices.js'), outputText);

const { count, size, warnings } = await generateSW({
  swDest: path.join(folder, 'service-worker.js'),
  globDirectory: folder,
  globPatterns: ['**/*.{html,js,css,woff2,ttf,png,svg,webmanifest}'],
  globIgnores: ['service-worker.js', 'reminder-notices.js'],
  // Their names change with what is in them.
  dontCacheBustURLsMatching: /_expo\/static\//,
  maximumFileSizeToCacheInBytes: LARGEST,
  navigateFallback: '/index.html',
  // What is the server's own is never answered from here; nor is what has an ending, but for pages.
  navigateFallbackDenylist: [/^\/(api|p|outbox|feed-host)\//, /^[^?]*\.[a-z0-9]+(\?|$)/i],
  importScripts: ['/reminder-notices.js'],
  inlineWorkboxRuntime: true,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  // A new version waits until it is taken.
  skipWaiting: false,
  sourcemap: false,
  mode: 'production',
});
for (const warning of warnings) console.warn(warning);
if (count < 20) throw new Error(`only ${count} files would be kept`);
console.log(`${count} files are kept for use without the network, ${Math.round(size / 1024)} kB`);
