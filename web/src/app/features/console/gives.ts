// Of the console, what a rehearsal of a lesson shows and steers in the same way.
export { wallShortcuts } from './answers-panel';
export { scriptShortcuts } from './script-panel';
export { Teaching } from './teaching';
