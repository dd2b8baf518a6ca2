// Playwright takes the default export of its global set-up.
export { makeTemplate as default } from './src/lib/template.js';
