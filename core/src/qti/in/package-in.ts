import type { LessonSettings } from '../../lesson/settings.js';
import { kindOf, type Item } from '../../question-kinds/registry.js';
import { sameJson } from '../../same-json.js';
import { qtiItem } from '../out/item-out.js';
import { MANIFEST, OWN_ITEM } from '../standard.js';
import { childrenOf, textWithin, within, type XmlElement } from '../xml.js';
import { readForeign, type ItemRead } from './foreign.js';

/** What of a package was taken and what was left, each with why. */
export interface PackageRead {
  readonly items: readonly Item[];
  readonly taken: readonly { readonly file: string; readonly kind: string; readonly stem: string; readonly whole: boolean }[];
  readonly left: readonly { readonly file: string; readonly why: string }[];
}

/** A file of a package: an XML document, or a sentence why it is none. */
export type DocumentOf = (path: string) => XmlElement | { readonly problem: string } | null;

/**
 * Reads the questions of a package in the order of its manifest.
 * @param documentOf the files of the package; null where there is none of that name
 * @param ownItem checks an item of ours that stands in a file; null where it does not follow its format
 * @param most so many questions are taken at most
 */
export function readPackage(
  manifest: XmlElement,
  documentOf: DocumentOf,
  ownItem: (data: unknown) => Item | null,
  settings: LessonSettings,
  most: number,
): PackageRead {
  const items: Item[] = [];
  const taken: PackageRead['taken'][number][] = [];
  const left: PackageRead['left'][number][] = [];
  for (const { attributes } of within(manifest, 'resource')) {
    const [file = '', type = ''] = [attributes['href'], attributes['type']];
    if (!/^imsqti_item_/.test(type)) {
      if (/^imsqti_/.test(type)) left.push({ file: file || MANIFEST, why: `Only questions are read, and this is of the type ${type}.` });
      continue;
    }
    const document = documentOf(file);
    const id = `q${items.length + 1}`;
    const read =
      document === null
        ? { why: 'The package names this file and does not hold it.' }
        : 'problem' in document
          ? { why: document.problem }
          : readItem(document, id, ownItem, settings);
    if ('why' in read) left.push({ file, why: read.why });
    else if (items.length === most) left.push({ file, why: `A lesson has ${most} questions at most.` });
    else {
      items.push(read.item);
      const kind = kindOf(read.item);
      taken.push({ file, kind: kind.name, stem: kind.viewOf(read.item, settings).stem, whole: read.whole });
    }
  }
  return { items, taken, left };
}

function readItem(
  root: XmlElement,
  id: string,
  ownItem: (data: unknown) => Item | null,
  settings: LessonSettings,
): { readonly item: Item; readonly whole: boolean } | { readonly why: string } {
  if (root.name === 'assessmentItem') return { why: 'It is written in version 2 of the standard; version 3 is read.' };
  if (root.name !== 'qti-assessment-item') return { why: `It is no question of the standard (it begins with ${root.name}).` };
  const own = ownOf(root, id, ownItem, settings);
  if (own) return { item: own, whole: true };
  const read: ItemRead = readForeign(root, id, settings);
  return 'item' in read ? { item: read.item, whole: false } : read;
}

/** An item of ours that came back as it went out. One whose answer was changed by another program is read as theirs. */
function ownOf(root: XmlElement, id: string, ownItem: (data: unknown) => Item | null, settings: LessonSettings): Item | null {
  const data = within(root, 'div').find(({ attributes }) => OWN_ITEM in attributes)?.attributes[OWN_ITEM];
  if (data === undefined) return null;
  const item = ownItem(parsed(data));
  if (!item) return null;
  return sameJson(rightIn(qtiItem(item, settings).document), rightIn(root)) ? { ...item, id } : null;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null; // whatever wrote it did not write an item
  }
}

/** What a document says is right, by its responses. */
const rightIn = (root: XmlElement) =>
  childrenOf(root, 'qti-response-declaration').map((one) => [one.attributes['identifier'], ...within(one, 'qti-value').map(textWithin)]);
