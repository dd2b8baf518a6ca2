import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { isStored, type Stored } from '../format.js';

/** Layers as stored, with every switch that was added since as a plain dial has it. */
export function completeLayers(layers: unknown): unknown {
  return isStored(layers) ? { ...PLAIN_LAYERS, ...layers } : layers;
}

/** Something stored with its layers completed. */
export function withLayers(data: Stored): Stored {
  return 'layers' in data ? { ...data, layers: completeLayers(data['layers']) } : data;
}
