import { build } from 'esbuild';
import { join } from 'node:path';
import pixelmatch from 'pixelmatch';
import { PNG } from 'pngjs';
import { expect, test } from './lib/classroom.js';

/** Share of pixels that may differ between the outlets: the edges of letters and lines are smoothed in their own ways. */
const MOST_DIFFERENT = 0.004;

test.use({ bypassCSP: true });

test('sixty scenes look the same drawn as SVG and on a canvas', async ({ page, server }) => {
  const bundled = await build({
    entryPoints: [join(import.meta.dirname, 'outlets/compare-page.ts')],
    bundle: true,
    write: false,
    format: 'iife',
  });
  await page.goto(`${server.url}/desk`);
  await page.getByRole('heading').first().waitFor();
  await page.evaluate(() => Promise.all([document.fonts.load('700 20px Andika'), document.fonts.load('400 20px Andika')]));
  await page.addScriptTag({ content: bundled.outputFiles[0]!.text });
  const picture = async (outlet: 'svg' | 'canvas', index: number) => {
    const clip = { x: 0, y: 0, ...(await page.evaluate(([one, at]) => window.drawWith(one, at), [outlet, index] as const)) };
    return PNG.sync.read(await page.screenshot({ clip, animations: 'disabled' }));
  };
  await page.addStyleTag({ content: 'body { margin: 0; }' });
  const different: { scene: number; share: number }[] = [];
  let filled = 0;
  for (let scene = 0; scene < 60; scene++) {
    const [svg, canvas] = [await picture('svg', scene), await picture('canvas', scene)];
    const share = pixelmatch(svg.data, canvas.data, undefined, svg.width, svg.height, { threshold: 0.25 }) / (svg.width * svg.height);
    if (share > MOST_DIFFERENT) different.push({ scene, share });
    // Not two empty pictures: a good part is other than the paper in the corner.
    const paper = svg.data.subarray(0, 3).join();
    let inked = 0;
    for (let at = 0; at < svg.data.length; at += 4) if (svg.data.subarray(at, at + 3).join() !== paper) inked += 1;
    if (inked > svg.width * svg.height * 0.05) filled += 1;
  }
  expect(different).toEqual([]);
  expect(filled).toBe(60);
});
