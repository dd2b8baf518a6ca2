import { build } from './lib/build.mjs';
import { bundle, bundleForPage } from './lib/bundle.mjs';
import { findChromium, findTools } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { must } from './lib/shell.mjs';

// Every benchmark, or those named: npm run bench -- live-answers
await install();
await build();
const OUT = 'node_modules/.cache/zeitpunkt/bench';
const all = [
  'core-speed',
  'diagnosis-speed',
  'page-weight',
  'places',
  'dial-frames',
  'wall-frames',
  'teacher-walk',
  'live-answers',
  'beside',
  'own-pace',
  'faults',
  'insight',
  'captions',
  'video',
  'paper',
];
// Long, or in need of much memory, so only when they are named.
const onDemand = ['live-memory', 'schools'];
const wanted = process.argv.slice(2).length ? process.argv.slice(2) : all;
for (const name of [...all, ...onDemand, 'floor-server', 'zeitpunkt-server', 'year-server', 'beside-server', 'load-client'])
  await bundle(`bench/src/${name}.ts`, `${OUT}/${name}.mjs`);
await bundleForPage('bench/src/video-floor.worker.ts', `${OUT}/video-floor.worker.js`);
if (wanted.includes('schools')) findTools();
for (const name of wanted) {
  if (['page-weight', 'places', 'dial-frames', 'wall-frames', 'teacher-walk', 'insight', 'video'].includes(name) && !findChromium())
    process.exit(1);
  must(name, process.execPath, [`${OUT}/${name}.mjs`]);
}
