import { describeDial } from '../../scene/describe-stage.js';
import { dialScene } from '../../scene/dial-scene.js';
import { dialOf, type DialLayers, type DialState } from '../../scene/dial-state.js';
import { dialOfChoice, type Choice } from '../../question-kinds/shapes/choices.js';
import { xml, type XmlElement, type XmlNode } from '../xml.js';
import type { QtiPicture } from './qti-out.js';

/** A dial as a picture of the package. */
export function dialPictureOf(dial: DialState, path: string): QtiPicture {
  return { path, scene: dialScene(dial), says: describeDial(dial) };
}

/** How a picture stands in an item's body. */
export function imageOf({ path, says, scene }: QtiPicture): XmlElement {
  return xml('img', { src: path, alt: says, width: Math.round(scene.width), height: Math.round(scene.height) });
}

/** A choice as it is shown, with its picture where it is a dial. */
export function choiceShown(choice: Choice, layers: DialLayers, path: string): { readonly node: XmlNode; readonly pictures: QtiPicture[] } {
  if ('text' in choice) return { node: choice.text, pictures: [] };
  const dial = dialOfChoice(choice, false);
  const picture = dialPictureOf(dialOf(dial.pose, { ...layers, numerals: choice.numerals }), path);
  return { node: imageOf(picture), pictures: [picture] };
}
