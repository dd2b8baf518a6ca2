import { strToU8, zipSync } from 'fflate';
import type { QuestionsFound } from '@zeitpunkt/contract';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { qtiPackage } from '@zeitpunkt/core/qti/out/package-out';
import { readXml } from '../../files/read-xml.js';
import { anotherTeacher, School, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let lessonId: string;
beforeAll(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  lessonId = (await teacher.send('GET', '/api/lessons')).json()[0].id;
});
afterAll(() => school.remove());

const packed = (files: Iterable<readonly [string, string]>) =>
  zipSync(Object.fromEntries([...files].map(([path, text]) => [path, strToU8(text)])));
const send = (bytes: Uint8Array, who = teacher) =>
  who.send('POST', `/api/lessons/${lessonId}/questions/look`, Buffer.from(bytes), { 'content-type': 'application/octet-stream' });
const found = async (bytes: Uint8Array) => (await send(bytes)).json<QuestionsFound>();

const everyKind = Object.values(QUESTION_KINDS).flatMap((kind) => kind.samples as readonly Item[]);
const items = everyKind.map((item, index) => ({ ...item, id: `item-${index}` }));

test('every kind of question goes out as well-formed items with their pictures, and comes back as it was', async () => {
  for (let from = 0; from < items.length; from += 80) {
    const some = items.slice(from, from + 80);
    const { files, lost } = qtiPackage(some, DEFAULT_SETTINGS);
    const documents = new Map(
      [...files].filter(([path]) => path.endsWith('.xml')).map(([path, text]) => [path, readXml(strToU8(text), path)]),
    );
    const named = [...files.values()].flatMap((text) => [...text.matchAll(/(?:src|href)="([^"]+)"/g)].map(([, path]) => path!));
    expect(named.filter((path) => !files.has(path))).toEqual([]);
    expect(documents.size).toBe(some.length + 1);
    expect(lost.flatMap(({ questions }) => questions).every((number) => number >= 1 && number <= some.length)).toBe(true);
    const { items: back, left, taken } = await found(packed(files));
    expect(left).toEqual([]);
    expect(taken.every(({ whole }) => whole)).toBe(true);
    expect(back.map(({ id: _id, ...item }) => item)).toEqual(some.map(({ id: _id, ...item }) => item));
  }
});

test('no response that is declared right is given away before it is answered, and each is right by the key', () => {
  for (const item of items) {
    const { files } = qtiPackage([item], DEFAULT_SETTINGS);
    const document = files.get(`q-${item.id}.xml`)!;
    // What the pupil sees: the body without what only this program reads.
    const body = document.slice(document.indexOf('<qti-item-body>')).replace(/data-zeitpunkt-item="[^"]*"/, '');
    const key = kindOf(item).keySentence(item, DEFAULT_SETTINGS);
    expect(body).not.toContain(key);
  }
});

const XMLNS = 'xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"';
const item = (
  declaration: string,
  body: string,
) => `<qti-assessment-item ${XMLNS} identifier="x" title="x" adaptive="false" time-dependent="false">
  <qti-response-declaration identifier="R" ${declaration}</qti-response-declaration><qti-item-body>${body}</qti-item-body></qti-assessment-item>`;
const right = (...values: string[]) =>
  `<qti-correct-response>${values.map((value) => `<qti-value>${value}</qti-value>`).join('')}</qti-correct-response>`;
const choices = (...texts: string[]) =>
  texts.map((text, index) => `<qti-simple-choice identifier="c${index}">${text}</qti-simple-choice>`).join('');
const choice = (prompt: string, key: string, ...texts: string[]) =>
  item(
    `cardinality="single" base-type="identifier">${right(key)}`,
    `<qti-choice-interaction response-identifier="R" max-choices="1"><qti-prompt>${prompt}</qti-prompt>${choices(...texts)}</qti-choice-interaction>`,
  );
const entry = (prompt: string, key: string) =>
  item(
    `cardinality="single" base-type="string">${right(key)}`,
    `<p>${prompt}</p><p><qti-text-entry-interaction response-identifier="R"/></p>`,
  );
const order = (key: string[], ...texts: string[]) =>
  item(
    `cardinality="ordered" base-type="identifier">${right(...key)}`,
    `<qti-order-interaction response-identifier="R"><qti-prompt>Earliest first</qti-prompt>${choices(...texts)}</qti-order-interaction>`,
  );
const match = (pairs: string[], left: string[], partners: string[]) => {
  const set = (texts: string[], name: string) =>
    `<qti-simple-match-set>${texts.map((text, index) => `<qti-simple-associable-choice identifier="${name}${index}" match-max="1">${text}</qti-simple-associable-choice>`).join('')}</qti-simple-match-set>`;
  return item(
    `cardinality="multiple" base-type="directedPair">${right(...pairs)}`,
    `<qti-match-interaction response-identifier="R">${set(left, 'l')}${set(partners, 'r')}</qti-match-interaction>`,
  );
};
const theirs = (files: Record<string, string>) => {
  const resources = Object.keys(files).map((href, index) => `<resource identifier="r${index}" type="imsqti_item_xmlv3p0" href="${href}"/>`);
  return packed([...Object.entries(files), ['imsmanifest.xml', `<manifest><resources>${resources.join('')}</resources></manifest>`]]);
};
const one = async (text: string) => found(theirs({ 'one.xml': text }));

test.each<[string, string, object]>([
  [
    'a choice of one',
    choice('Which is half past seven?', 'c1', '6:30', '7:30', '8:30'),
    { kind: 'choose-one', timeSec: 27_000, from: 'words' },
  ],
  [
    'a choice of several',
    choice('Which show half past seven?', 'c1', '6:30', '7:30', 'seven thirty')
      .replace('cardinality="single"', 'cardinality="multiple"')
      .replace('</qti-correct-response>', '<qti-value>c2</qti-value></qti-correct-response>'),
    { kind: 'choose-all', timeSec: 27_000, from: 'words' },
  ],
  [
    'a time to be written in digits',
    entry('Write quarter to four as a digital clock shows it.', '3:45'),
    { kind: 'write-display', timeSec: 13_500 },
  ],
  [
    'a time to be written in words',
    entry('How do you say 3:45?', 'quarter to four'),
    { kind: 'write-words', timeSec: 13_500, from: 'display' },
  ],
  [
    'times in order',
    order(['c1', 'c0', 'c2'], '2:30', '1:15', '3:00'),
    { kind: 'order-times', times: [9000, 4500, 10_800], as: 'display' },
  ],
  [
    'pairs',
    match(['l0 r1', 'l1 r0'], ['half past two', 'quarter to four'], ['3:45', '2:30']),
    { kind: 'match', left: 'words', right: 'display', times: [9000, 13_500] },
  ],
])('of another program %s is taken', async (_name, text, expected) => {
  expect(await one(text)).toMatchObject({ items: [expected], left: [], taken: [{ whole: false }] });
});

test.each([
  ['a picture', choice('<img src="c.png" alt=""/>What time is it?', 'c0', '7:30', '8:30'), 'pictures are not read'],
  ['no time', choice('Which is a fruit?', 'c0', 'apple', 'stone'), 'nothing that is a time'],
  ['choices that are no times', choice('Which is half past seven?', 'c0', 'early', 'late'), 'Not all of its choices'],
  ['a key that its times do not bear out', choice('Which is half past seven?', 'c0', '6:30', '7:30'), 'another answer would be right'],
  ['an order from late to early', order(['c2', 'c0', 'c1'], '2:30', '1:15', '3:00'), 'another answer would be right'],
  [
    'an interaction that is not known',
    item(`cardinality="single" base-type="point">${right('1 1')}`, '<qti-select-point-interaction response-identifier="R"/>'),
    'qti-select-point-interaction',
  ],
  [
    'nothing declared right',
    item('cardinality="single" base-type="string">', '<qti-text-entry-interaction response-identifier="R"/>'),
    'what is right',
  ],
  ['version 2 of the standard', '<assessmentItem identifier="x"/>', 'version 2'],
  ['a document type', `<!DOCTYPE a [<!ENTITY x "x">]>${entry('Write half past one.', '1:30')}`, 'document type'],
])('an item with %s is left, and the rest is taken', async (_name, text, why) => {
  const read = await found(theirs({ 'odd.xml': text, 'good.xml': entry('Write quarter to four in digits.', '3:45') }));
  expect(read.items).toHaveLength(1);
  expect(read.left).toEqual([{ file: 'odd.xml', why: expect.stringContaining(why) }]);
});

test('an item of ours whose answer another program changed is read as theirs, and so is one with data that is none', async () => {
  const { files } = qtiPackage([{ id: 'a', kind: 'write-display', timeSec: 27_000 }], DEFAULT_SETTINGS);
  const own = files.get('q-a.xml')!;
  const elsewhere = own.replaceAll('7:30', '8:30').replace('half past seven', 'half past eight');
  expect(await one(elsewhere)).toMatchObject({ items: [{ kind: 'write-display', timeSec: 30_600 }], taken: [{ whole: false }] });
  const broken = own.replace(/data-zeitpunkt-item="[^"]*"/, 'data-zeitpunkt-item="[broken"');
  expect(await one(broken)).toMatchObject({ items: [{ timeSec: 27_000 }], taken: [{ whole: false }] });
  expect(await one(own.replace('27000', '27001'))).toMatchObject({ items: [{ timeSec: 27_000 }], taken: [{ whole: false }] });
});

test('a package with films beside its questions is read, and paths that its manifest writes as addresses are found', async () => {
  const resource = (href: string) => `<resource identifier="r" type="imsqti_item_xmlv3p0" href="${href}"/>`;
  const text = entry('Write quarter to four in digits.', '3:45');
  const manifest = `<manifest><resources>${resource('./tide%20gauge/one.xml')}${resource('100%.xml')}</resources></manifest>`;
  const files = { 'imsmanifest.xml': strToU8(manifest), 'tide gauge/one.xml': strToU8(text), '100%.xml': strToU8(text), 'film.mp4': new Uint8Array(9_000_000) }; // prettier-ignore
  expect(await found(zipSync(files))).toMatchObject({ left: [], taken: [{ file: './tide%20gauge/one.xml' }, { file: '100%.xml' }] });
});

test.each<[string, Uint8Array, string]>([
  ['no archive', strToU8('hello'), 'no ZIP archive'],
  ['an archive without a manifest', packed([['a.xml', '<a/>']]), 'imsmanifest.xml'],
  ['a manifest with entities', packed([['imsmanifest.xml', '<!DOCTYPE a [<!ENTITY x "x">]><manifest>&x;</manifest>']]), 'document type'],
])('%s is refused with the reason', async (_name, bytes, why) => {
  expect((await send(bytes)).json()).toMatchObject({ code: 'FILE_UNREADABLE', detail: expect.stringContaining(why) });
});

test('200 MB are sent away before they are read, and so are strangers and other teachers', async () => {
  const headers = { 'content-type': 'application/octet-stream', 'content-length': String(200 * 2 ** 20) };
  const reply = await teacher.send('POST', `/api/lessons/${lessonId}/questions/look`, Buffer.alloc(10), headers);
  expect(reply.json()).toMatchObject({ status: 413, detail: expect.stringMatching(/\.$/) });
  const good = theirs({ 'good.xml': entry('Write quarter to four in digits.', '3:45') });
  expect((await send(good, await anotherTeacher(school, teacher))).json().code).toBe('NOT_FOUND');
  expect((await send(good, school.browser())).json().code).toBe('SIGN_IN_NEEDED');
});
