import type { LayerName } from '../../../ui/parts/layer-picture';
import type { BeatField, Typed } from './beat-field';
import { FIELD_WORDS } from './words';

/** What a beat may do to a layer of the dial. */
const STATES = ['as it is', 'shown', 'hidden'] as const;
type State = (typeof STATES)[number];

/** Layers that a beat changes, by their name on the screen, with the values that show and hide each. */
const LAYERS: Readonly<
  Record<string, { readonly key: string; readonly picture: LayerName; readonly shown: unknown; readonly hidden: unknown }>
> = {
  'minute numbers': { key: 'minuteRing', picture: 'ring', shown: 'full', hidden: 'none' },
  zones: { key: 'hourZones', picture: 'zones', shown: true, hidden: false },
  halves: { key: 'halves', picture: 'halves', shown: true, hidden: false },
  quarters: { key: 'quarters', picture: 'quarters', shown: true, hidden: false },
  'hour hand': { key: 'hourHand', picture: 'hour', shown: true, hidden: false },
  'minute hand': { key: 'minuteHand', picture: 'minute', shown: true, hidden: false },
  'coloured hands': { key: 'handInk', picture: 'colours', shown: 'own', hidden: 'alike' },
};

const SEPARATOR = '; ';

/** Layers that a beat changes, each as it is, shown or hidden: a press goes on to the next. */
export const layersField = (): BeatField => ({
  key: 'layers',
  label: FIELD_WORDS().onTheDial,
  type: 'layers',
  read(beat) {
    const layers = (beat as { layers?: Readonly<Record<string, unknown>> }).layers ?? {};
    const stateOf = ({ key, shown }: (typeof LAYERS)[string]): State =>
      key in layers ? (layers[key] === shown ? 'shown' : 'hidden') : 'as it is';
    return Object.entries(LAYERS)
      .map(([name, layer]) => `${name}: ${stateOf(layer)}`)
      .join(SEPARATOR);
  },
  write(text, beat) {
    const before = (beat as { layers?: Readonly<Record<string, unknown>> }).layers ?? {};
    const ours = new Set(Object.values(LAYERS).map(({ key }) => key));
    const layers: Record<string, unknown> = Object.fromEntries(Object.entries(before).filter(([key]) => !ours.has(key)));
    for (const { name, state } of layerStates(text)) {
      const layer = LAYERS[name]!;
      if (state !== 'as it is') layers[layer.key] = layer[state];
    }
    return { change: { layers } };
  },
});

/** The same where a beat that changes none says nothing of layers. */
export const layersOrNone = (): BeatField => ({
  ...layersField(),
  write(text, beat, settings): Typed {
    const typed = layersField().write(text, beat, settings);
    if ('problem' in typed) return typed;
    const layers = typed.change['layers'] as object;
    return { change: { layers: Object.keys(layers).length > 0 ? layers : undefined } };
  },
});

/** The layers of such a field with their states. */
export function layerStates(value: string): readonly { readonly name: string; readonly picture: LayerName; readonly state: State }[] {
  return value.split(SEPARATOR).map((one) => {
    const [name = '', state = ''] = one.split(': ');
    return { name, picture: LAYERS[name]!.picture, state: STATES.find((known) => known === state) ?? 'as it is' };
  });
}

/** The value of such a field after a press on one of its layers. */
export function layerPressed(value: string, pressed: string): string {
  const next = (state: State) => STATES[(STATES.indexOf(state) + 1) % STATES.length];
  return layerStates(value)
    .map(({ name, state }) => `${name}: ${name === pressed ? next(state) : state}`)
    .join(SEPARATOR);
}
