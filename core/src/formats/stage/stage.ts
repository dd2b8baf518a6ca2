import { dialOf, PLAIN_LAYERS } from '../../scene/dial-state.js';
import { CLEAR_STAGE, displayOf } from '../../scene/stage-state.js';
import { isStored, type Format, type Stored } from '../format.js';
import { completeLayers } from '../dial-build/layers.js';

const FULL_DIAL = dialOf({ hourDeg: 0, minuteDeg: 0 }, PLAIN_LAYERS);
const FULL_DISPLAY = displayOf(null, null, ':');

/** Version 1 left out what was not on the stage. */
function toVersion2(data: Stored): Stored {
  const { chart: _chart, ...CLEAR_OF_VERSION_2 } = CLEAR_STAGE;
  const full = { ...CLEAR_OF_VERSION_2, ...data };
  const dialOfVersion2 = (dial: unknown) => (isStored(dial) ? { ...FULL_DIAL, ...dial, layers: completeLayers(dial['layers']) } : dial);
  return {
    ...full,
    dial: dialOfVersion2(full.dial),
    dials: Array.isArray(full.dials) ? full.dials.map(dialOfVersion2) : full.dials,
    display: isStored(full.display) ? { ...FULL_DISPLAY, ...full.display } : full.display,
  };
}

/** Version 2 had no reference chart. */
const toVersion3 = (data: Stored): Stored => ({ ...data, chart: null });

/** The stage that the window for pupils showed last, as the browser keeps it; see StageState. */
export const stageFormat: Format = {
  name: 'stage',
  migrations: [toVersion2, toVersion3],
  carriesVersion: false,
  unreadable: 'STAGE_UNREADABLE',
};
