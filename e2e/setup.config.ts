import { makeTemplate } from './src/lib/template.js';
// @ts-expect-error a tool without types
import { bundle } from '../tools/lib/bundle.mjs';

/** Before all journeys: the process that holds their schools is bundled, and the school that each begins with is made. */
export default async function setUp(): Promise<void> {
  await bundle('server/src/testing/host.ts', 'server/dist/test-host.js');
  await makeTemplate();
}
