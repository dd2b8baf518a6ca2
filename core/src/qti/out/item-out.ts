import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { kindOf, type Item } from '../../question-kinds/registry.js';
import { bandKindOf } from '../../scene/bands/registry.js';
import { dialOfPicture } from '../../question-kinds/picture.js';
import { MAP_RESPONSE, MATCH_CORRECT, OWN_ITEM, QTI_NAMESPACE } from '../standard.js';
import { xml, type XmlElement } from '../xml.js';
import { interactionOf } from './interactions.js';
import { dialPictureOf, imageOf } from './pictures.js';
import type { QtiBody, QtiPicture, QtiResponse } from './qti-out.js';

/** An item as a document of the standard, with its pictures and what is lost. */
export interface QtiItem {
  readonly id: string;
  readonly title: string;
  readonly document: XmlElement;
  readonly pictures: readonly QtiPicture[];
  readonly lost: readonly string[];
}

/** An item as the nearest item of the standard. Its own data stands beside, for whoever reads it back here. */
export function qtiItem(item: Item, settings: LessonSettings): QtiItem {
  const kind = kindOf(item);
  const view = kind.viewOf(item, settings);
  const body = interactionOf(view, { item, settings });
  const { picture } = view;
  const shown = picture.dial ? [dialPictureOf(dialOfPicture(picture.dial), `media/${item.id}.svg`)] : [];
  const bandLines = picture.band ? [bandKindOf(picture.band).describe(picture.band)] : [];
  const display = picture.display ? [`${picture.display.hour ?? '_'}${picture.display.separator}${picture.display.minute ?? '_'}`] : [];
  const lost = [...body.lost, ...(picture.band ? ['The line beside the question becomes words.'] : [])];
  const document = xml(
    'qti-assessment-item',
    {
      xmlns: QTI_NAMESPACE,
      identifier: identifierOf(item.id),
      title: kind.name,
      adaptive: 'false',
      'time-dependent': 'false',
      'xml:lang': tongueOf(settings) === 'de' ? 'de' : settings.pack,
    },
    ...body.responses.map(declaration),
    xml(
      'qti-outcome-declaration',
      { identifier: 'SCORE', cardinality: 'single', 'base-type': 'float' },
      xml('qti-default-value', {}, xml('qti-value', {}, '0')),
    ),
    xml(
      'qti-item-body',
      {},
      xml(
        'div',
        { [OWN_ITEM]: JSON.stringify(item) },
        xml('p', {}, view.stem),
        ...[...picture.lines, ...display, ...bandLines].map((line) => xml('p', {}, line)),
        ...shown.map((one) => xml('p', {}, imageOf(one))),
        ...body.interaction,
      ),
    ),
    processing(body),
  );
  return { id: item.id, title: kind.name, document, pictures: [...shown, ...body.pictures], lost };
}

/** An id as the standard allows it: it begins with a letter. */
export const identifierOf = (id: string): string => `q-${id.replace(/[^\w.-]/g, '_')}`;

function declaration({ id, cardinality, baseType, correct, alsoRight = [] }: QtiResponse): XmlElement {
  const values = correct.map((value) => xml('qti-value', {}, value));
  const entries = [...correct, ...alsoRight].map((key) =>
    xml('qti-map-entry', { 'map-key': key, 'mapped-value': 1, 'case-sensitive': 'false' }),
  );
  return xml(
    'qti-response-declaration',
    { identifier: id, cardinality, 'base-type': baseType },
    xml('qti-correct-response', {}, ...values),
    baseType === 'string' && xml('qti-mapping', { 'default-value': 0 }, ...entries),
  );
}

/** One response is marked by the standard's templates; several are added up. */
function processing({ responses }: QtiBody): XmlElement {
  const [only, ...others] = responses;
  if (only && others.length === 0 && only.id === 'RESPONSE') {
    return xml('qti-response-processing', { template: only.baseType === 'string' ? MAP_RESPONSE : MATCH_CORRECT });
  }
  const isRight = ({ id, baseType }: QtiResponse) =>
    baseType === 'string'
      ? xml('qti-gt', {}, xml('qti-map-response', { identifier: id }), xml('qti-base-value', { 'base-type': 'float' }, '0'))
      : xml('qti-match', {}, xml('qti-variable', { identifier: id }), xml('qti-correct', { identifier: id }));
  return xml(
    'qti-response-processing',
    {},
    xml(
      'qti-response-condition',
      {},
      xml(
        'qti-response-if',
        {},
        xml('qti-and', {}, ...responses.map(isRight)),
        xml('qti-set-outcome-value', { identifier: 'SCORE' }, xml('qti-base-value', { 'base-type': 'float' }, '1')),
      ),
    ),
  );
}
