import { CoreError } from '@zeitpunkt/core/errors';
import type { XmlElement, XmlNode } from '@zeitpunkt/core/qti/xml';
import { SaxesParser } from 'saxes';
import { textOf } from './text-of.js';

const DEEPEST = 60;
const MOST_NODES = 100_000;

interface Open {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: XmlNode[];
}

/**
 * An XML document as a tree, without prefixes. Documents that declare a type or entities of their own are refused: what would
 * be expanded or fetched is none of ours.
 * @throws CoreError FILE_UNREADABLE with the line
 */
export function readXml(bytes: Uint8Array, named: string): XmlElement {
  const text = textOf(bytes, named);
  const parser = new SaxesParser({ xmlns: false, position: true });
  const wrong = (what: string) =>
    new CoreError('FILE_UNREADABLE', `${named}, line ${parser.line}: ${what}`, { named, line: parser.line, what });
  const open: Open[] = [];
  let root = null as XmlElement | null;
  let nodes = 0;
  const add = (node: XmlNode) => {
    nodes += 1;
    if (nodes > MOST_NODES) throw wrong('it holds more than is read.');
    const parent = open.at(-1);
    if (parent) parent.children.push(node);
    else if (typeof node !== 'string') root = node;
  };
  parser.on('doctype', () => {
    throw wrong('it declares a document type, and such documents are not read.');
  });
  parser.on('xmldecl', ({ encoding }) => {
    if (encoding && !/^utf-?8$/i.test(encoding)) throw wrong(`it says that it is written in ${encoding}; UTF-8 is read.`);
  });
  parser.on('error', (error) => {
    throw wrong(`it is no well-formed XML (${error.message.replace(/^\d+:\d+: /, '').slice(0, 120)})`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (open.length === DEEPEST) throw wrong('its elements stand within each other deeper than is read.');
    open.push({ name: local(name), attributes: plain(attributes), children: [] });
  });
  parser.on('closetag', () => add(open.pop()!));
  parser.on('text', (piece) => {
    if (open.length > 0) add(piece);
  });
  parser.on('cdata', (piece) => add(piece));
  parser.write(text).close();
  if (!root) throw wrong('it holds nothing.');
  return root;
}

const local = (name: string) => name.slice(name.indexOf(':') + 1);

const plain = (attributes: Readonly<Record<string, unknown>>) =>
  Object.fromEntries(Object.entries(attributes).map(([name, value]) => [local(name), String(value)]));
