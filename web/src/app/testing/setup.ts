import 'fake-indexeddb/auto';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';
import { plainStyles } from './plain-styles';

setupZonelessTestEnv();
plainStyles(window);
// What a browser has and jsdom lacks.
const deaf = () => undefined;
// The CDK asks in the old way too.
window.matchMedia ??= (media) =>
  Object.assign(new EventTarget(), { media, matches: false, addListener: deaf, removeListener: deaf }) as unknown as MediaQueryList;
globalThis.structuredClone ??= (data: unknown) => JSON.parse(JSON.stringify(data)) as never;
window.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
