import type { LessonSettings } from '../../lesson/settings.js';
import type { Item } from '../../question-kinds/registry.js';
import { PRINT_INKS } from '../../scene/print-inks.js';
import { svgFile } from '../../scene/svg-file.js';
import { ITEM_TYPE, MANIFEST, PACKAGE_NAMESPACE } from '../standard.js';
import { xml, xmlText } from '../xml.js';
import { identifierOf, qtiItem, type QtiItem } from './item-out.js';

/** A package of questions: its files by their paths, and what its form does not keep. */
export interface QtiPackage {
  readonly files: ReadonlyMap<string, string>;
  /** By sentence the numbers of the questions, from 1. */
  readonly lost: readonly { readonly what: string; readonly questions: readonly number[] }[];
}

/** All questions of a set as a package with its manifest. */
export function qtiPackage(items: readonly Item[], settings: LessonSettings): QtiPackage {
  const made = items.map((item) => qtiItem(item, settings));
  const files = new Map<string, string>([[MANIFEST, xmlText(manifest(made))]]);
  for (const { id, document, pictures } of made) {
    files.set(pathOf(id), xmlText(document));
    for (const { path, scene, says } of pictures) files.set(path, svgFile(scene, PRINT_INKS, says, null));
  }
  const lost = new Map<string, number[]>();
  made.forEach((one, index) => one.lost.forEach((what) => lost.set(what, [...(lost.get(what) ?? []), index + 1])));
  return { files, lost: [...lost].map(([what, questions]) => ({ what, questions })) };
}

const pathOf = (id: string) => `${identifierOf(id)}.xml`;

function manifest(items: readonly QtiItem[]) {
  const file = (href: string) => xml('file', { href });
  return xml(
    'manifest',
    { xmlns: PACKAGE_NAMESPACE, identifier: 'zeitpunkt-questions' },
    xml('metadata', {}, xml('schema', {}, 'QTI Package'), xml('schemaversion', {}, '3.0.0')),
    xml('organizations', {}),
    xml(
      'resources',
      {},
      ...items.map(({ id, pictures }) =>
        xml(
          'resource',
          { identifier: identifierOf(id), type: ITEM_TYPE, href: pathOf(id) },
          file(pathOf(id)),
          ...pictures.map(({ path }) => file(path)),
        ),
      ),
    ),
  );
}
