import { bundleForTests } from './tools/lib/test-bundles.mjs';

/** Before all tests of a run. */
export default bundleForTests;
