import { CoreError } from '@zeitpunkt/core/errors';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { readXml } from './read-xml.js';
import { readZip, type ZipLimits } from './read-zip.js';
import { writeZip } from './write-zip.js';

const LIMITS: ZipLimits = { files: 20, fileBytes: 2 ** 20, totalBytes: 2 * 2 ** 20 };
const read = (bytes: Uint8Array, limits = LIMITS) => readZip(bytes, limits);
const reading = async (bytes: Uint8Array, limits = LIMITS) => {
  try {
    await read(bytes, limits);
    return 'read';
  } catch (error) {
    if (error instanceof CoreError) return `${error.code} ${error.message}`;
    throw error;
  }
};
/** The same archive with a path in it changed, byte by byte, as no honest program would write it. */
const renamed = (bytes: Uint8Array, from: string, to: string) =>
  new Uint8Array(Buffer.from(Buffer.from(bytes).toString('latin1').replaceAll(from, to), 'latin1'));

test('what is written is read again, whatever it holds', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uniqueArray(fc.tuple(fc.stringMatching(/^[a-z]{1,8}\/[a-z]{1,8}\.json$/), fc.string({ maxLength: 2000 })), {
        selector: ([path]) => path,
        maxLength: 8,
      }),
      async (files) => {
        // prettier-ignore
        const pieces: Uint8Array[] = [];
        for await (const piece of writeZip(files.map(([path, text]) => ({ path, pieces: [text.slice(0, 900), text.slice(900)] })), new Date(2026, 10, 27))) pieces.push(piece); // prettier-ignore
        const found = await read(Buffer.concat(pieces));
        expect([...found].map(([path, bytes]) => [path, new TextDecoder().decode(bytes)])).toEqual(
          files.map(([path, text]) => [path, new TextDecoder().decode(new TextEncoder().encode(text))]),
        );
      },
    ),
    { numRuns: 60 },
  );
});

test('whatever bytes come, they are read or refused with a sentence', async () => {
  const honest = zipSync({ 'a.json': strToU8('{"a":1}'.repeat(50)), 'b/c.json': strToU8('x'.repeat(3000)) });
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(honest.length - 1), fc.nat(255)), { maxLength: 6 }),
      fc.nat(honest.length),
      async (changes, cut) => {
        const bytes = honest.slice(0, cut);
        for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value;
        expect(await reading(bytes)).toMatch(/^read$|^FILE_UNREADABLE .+\.$/);
      },
    ),
    // A name of damaged bytes once broke the sentence that quotes it.
    {
      numRuns: 300,
      examples: [
        [[[75, 48]], honest.length],
        [[[31, 10]], honest.length],
      ],
    },
  );
});

test('a bomb is given up after what is read at most, long before it is unpacked', async () => {
  const bomb = zipSync({ 'a.json': new Uint8Array(60_000_000) }, { level: 9 });
  expect(bomb.length).toBeLessThan(100_000);
  expect(await reading(bomb)).toBe('FILE_UNREADABLE “a.json” is larger than 1 MB when it is unpacked.');
  const many = zipSync(Object.fromEntries(Array.from({ length: 5 }, (_, index) => [`${index}.json`, new Uint8Array(900_000)])));
  expect(await reading(many)).toContain('The archive is larger than');
  const crowded = zipSync(Object.fromEntries(Array.from({ length: 21 }, (_, index) => [`${index}.json`, strToU8('{}')])));
  expect(await reading(crowded)).toContain('more than 20 files');
});

test.each(['../x/a.json', '/xxx/a.json', 'x/../.a.json', 'x\\..\\a.json', 'C:/xx/a.json', 'xxx//a.json'])(
  'the path %s leads out of the archive and is refused',
  async (path) => {
    const honest = 'abcdefghijklmnopqrst'.slice(0, path.length);
    expect(await reading(renamed(zipSync({ [honest]: strToU8('{}') }), honest, path))).toContain('leads out of it');
  },
);

test.each(['a\n.json', 'a\0.json', 'a\x80.json'])('the path %j cannot be shown and is refused without its signs', async (path) => {
  expect(await reading(renamed(zipSync({ 'ab.json': strToU8('{}') }), 'ab.json', path))).toBe(
    'FILE_UNREADABLE The archive holds a path with signs that nobody can read: “a\ufffd.json”.',
  );
});

test('files that are not wanted are passed over, however large they unpack, and their names are still looked at', async () => {
  const film = zipSync({ 'film.mp4': new Uint8Array(5_000_000), 'a.xml': strToU8('<a/>') });
  const wanted = (path: string) => path.endsWith('.xml');
  expect([...(await readZip(film, LIMITS, wanted)).keys()]).toEqual(['a.xml']);
  expect(await reading(film)).toContain('“film.mp4” is larger');
  const leading = renamed(zipSync({ 'aaafilm.mp4': strToU8('x') }), 'aaafilm.mp4', '../film.mp4');
  await expect(readZip(leading, LIMITS, wanted)).rejects.toThrow('leads out of it');
});

test('two files of one name, a file that is no archive and one that ends too early are refused', async () => {
  expect(await reading(renamed(zipSync({ 'aa.json': strToU8('{}'), 'bb.json': strToU8('[]') }), 'bb.json', 'aa.json'))).toContain('twice');
  expect(await reading(strToU8('%PDF-1.7'))).toContain('no ZIP archive');
  expect(await reading(zipSync({ 'a.json': strToU8('x'.repeat(5000)) }).slice(0, 45))).toMatch(/FILE_UNREADABLE/);
});

const tree = (text: string | Uint8Array) => readXml(typeof text === 'string' ? strToU8(text) : text, 'q.xml');

test('XML becomes a tree without prefixes', () => {
  expect(tree('<?xml version="1.0"?><q:a xmlns:q="urn:x" q:id="1"> one <b>&lt;&#50;</b><![CDATA[<c>]]><!-- not this --></q:a>')).toEqual({
    name: 'a',
    attributes: { q: 'urn:x', id: '1' },
    children: [' one ', { name: 'b', attributes: {}, children: ['<2'] }, '<c>'],
  });
});

test.each([
  ['entities of its own', '<!DOCTYPE a [<!ENTITY x "xxxxxxxxxx">]><a>&x;&x;</a>', 'document type'],
  ['a document type that would be fetched', '<!DOCTYPE a SYSTEM "file:///etc/passwd"><a/>', 'document type'],
  ['an entity that nobody declared', '<a>&boom;</a>', 'well-formed'],
  ['elements that do not close', '<a><b></a>', 'line 1'],
  ['elements deeper than is read', `${'<a>'.repeat(80)}${'</a>'.repeat(80)}`, 'deeper'],
  ['more than is read', `<a>${'<b/>'.repeat(100_001)}</a>`, 'more than is read'],
  ['another encoding', '<?xml version="1.0" encoding="ISO-8859-1"?><a/>', 'ISO-8859-1'],
  ['nothing', '', 'q.xml'],
])('XML with %s is refused with its place', (_name, text, why) => {
  expect(() => tree(text)).toThrow(expect.objectContaining({ code: 'FILE_UNREADABLE', message: expect.stringContaining(why) }));
});

test('XML in other bytes than UTF-8 is refused', () => {
  expect(() => tree(Buffer.from('<a>ü</a>', 'latin1'))).toThrow('not text in UTF-8');
  expect(() => tree(Buffer.from('\uFEFF<a/>', 'utf16le'))).toThrow('not text in UTF-8');
});
