import 'fake-indexeddb/auto';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();
// What a browser has and jsdom lacks.
window.matchMedia ??= (media) => Object.assign(new EventTarget(), { media, matches: false }) as unknown as MediaQueryList;
globalThis.structuredClone ??= (data: unknown) => JSON.parse(JSON.stringify(data)) as never;
window.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
