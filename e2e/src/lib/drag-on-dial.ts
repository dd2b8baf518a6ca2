import { expect, type Locator } from '@playwright/test';

/** A place on a dial: degrees clockwise from 12, and parts of the face's radius. */
export type DialPlace = readonly [deg: number, reach: number];

/**
 * Presses at a place of the dial on a stage, drags through others and lets go. The dial may not move meanwhile: what comes by
 * itself (saving, what is found) would turn a hand that somebody holds.
 */
export async function dragOnDial(stage: Locator, places: readonly DialPlace[]): Promise<void> {
  const { mouse } = stage.page();
  const dial = stage.locator('[data-role="dial"] circle').first();
  const whereItIs = async () => (await dial.boundingBox())!;
  await dial.scrollIntoViewIfNeeded(); // it stands still: what was pressed before may have moved it
  const face = await whereItIs();
  const [cx, cy, r] = [face.x + face.width / 2, face.y + face.height / 2, face.width / 2];
  const to = ([deg, reach]: DialPlace, steps: number) => {
    const rad = (deg * Math.PI) / 180;
    return mouse.move(cx + r * reach * Math.sin(rad), cy - r * reach * Math.cos(rad), { steps });
  };
  await to(places[0]!, 1);
  await mouse.down();
  for (const place of places.slice(1)) await to(place, 6);
  expect(await whereItIs()).toEqual(face);
  await mouse.up();
}
