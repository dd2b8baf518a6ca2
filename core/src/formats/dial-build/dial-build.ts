import type { Format, Stored } from '../format.js';
import { storedList } from '../format.js';
import { withLayers } from './layers.js';

/** Version 1 left out the place of the dial at hand where it was the first, and the marks of a dial beside where it had none. */
function toVersion2(data: Stored): Stored {
  const beside = Array.isArray(data['beside']) ? storedList(data['beside']).map((one) => ({ marks: [], ...one })) : data['beside'];
  return { place: 0, ...data, beside };
}

/** A demonstration built on the dial; see DialBuild. */
export const dialBuildFormat: Format = {
  name: 'saved dial',
  migrations: [toVersion2],
  complete(data) {
    const beside = Array.isArray(data['beside']) ? data['beside'].map((one) => withLayers(one as Stored)) : data['beside'];
    return withLayers({ ...data, beside });
  },
  carriesVersion: true,
  unreadable: 'DIAL_UNREADABLE',
};
