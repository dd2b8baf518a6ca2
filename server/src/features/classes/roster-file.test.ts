import { type RosterEntry, planRoster } from '@zeitpunkt/core/roster/roster';
import { guessColumns } from '@zeitpunkt/core/roster/guess-columns';
import { School } from '../../testing/school.js';
import { readRosterFile, rosterCsv } from './roster-file.js';

const utf8 = (text: string) => new TextEncoder().encode(text);
/** One letter, one byte. */
const latin1 = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

function entries(bytes: Uint8Array, present: Parameters<typeof planRoster>[2] = []): RosterEntry[] {
  const { rows } = readRosterFile(bytes);
  const { hasHeader, columns } = guessColumns(rows);
  return planRoster(hasHeader ? rows.slice(1) : rows, columns, present);
}
const told = (all: readonly RosterEntry[]) => all.map((entry) => [entry.line, entry.kind === 'refused' ? entry.reason : entry.name]);

test.each<[string, Uint8Array]>([
  ['commas and Windows line ends', utf8('Name,Reference,Island\r\nZoë,T01,Holm\r\nJörg,T02,Ness\r\n')],
  ['semicolons and a byte-order mark', utf8('\uFEFFVorname;Nachname;Kennung\r\n"Zoë";Óda;T01\r\nJörg;Dal;T02')],
  ['tabs', utf8('ref\tname\nT01\tZoë\nT02\tJörg\n')],
  ['Latin-1', latin1('name,ref\r\nZoë,T01\r\nJörg,T02\r\n')],
  ['UTF-16, as spreadsheets write text', new Uint8Array(Buffer.from('\uFEFFName\tID\r\nZoë\tT01\r\nJörg\tT02\r\n', 'utf16le'))],
  ['UTF-16, the other way round', new Uint8Array(Buffer.from('\uFEFFName\tID\r\nZoë\tT01\r\nJörg\tT02\r\n', 'utf16le').swap16())],
  ['a line that says what separates', utf8('sep=|\nName|Id\nZoë|T01\nJörg|T02\n')],
])('a list with %s is read', (_how, bytes) => {
  expect(entries(bytes)).toMatchObject([
    { kind: 'new', name: 'Zoë', reference: 'T01' },
    { kind: 'new', name: 'Jörg', reference: 'T02' },
  ]);
});

test('a first letter that looks like the beginning of a mark of UTF-16 is a letter', () => {
  expect(told(entries(latin1('ÿvi,T01\r\nþór,T02\r\n')))).toEqual([
    [1, 'ÿvi'],
    [2, 'þór'],
  ]);
});

test('each row that cannot be taken is named with its line and why', () => {
  const list = ['First name;Last name;Ref', 'Anouk;;a-5', 'Anouk;;a-6', ';Nameless;a-7', '  Bo  ;;a-8', `${'X'.repeat(200)};Long;a-9`].join(
    '\r\n',
  );
  const more = '\r\n"Line\nbreak";;a-10\r\n=1+1;;a-11\r\nDov;;a-8\r\nElin;;e-1';
  expect(told(entries(utf8(list + more), [{ name: 'Elin', reference: 'e-1' }]))).toEqual([
    [2, 'Anouk'],
    [3, 'Anouk stands in line 2 already; two pupils of one name could not tell their names apart.'],
    [4, 'There is no name in this row.'],
    [5, 'Bo'],
    [6, 'The name has 200 letters; a display name has at most 60.'],
    [7, 'Line break'],
    [9, '=1+1'],
    [10, 'The reference a-8 belongs to Bo already.'],
    [11, 'Elin'],
  ]);
});

test.each<[string, Uint8Array, RegExp]>([
  [
    'a quotation mark that is never closed',
    utf8('name,ref\nAnouk,1\n"Bashir,2\nCeri,3\n'),
    /^Line 3: a quotation mark opens here and is never closed\.$/,
  ],
  ['a quotation mark within a cell', utf8('name\nAnouk\nBa"shir"\n'), /^Line 3: a quotation mark stands in the middle/],
  ['a picture', Uint8Array.from([0x89, 0x50, 0, 0, 1, 2, 0]), /no text/],
  ['nothing', utf8(' \n\n'), /empty/],
  ['a row without end', utf8(`name\nAnouk\n${'x'.repeat(40_000)}`), /^Line 3: this row is too long for one pupil\.$/],
  ['a town’s pupils', utf8('x\n'.repeat(6000)), /more than 5000 rows/],
])('a file with %s is refused with its line and why', (_what, bytes, sentence) => {
  expect(() => readRosterFile(bytes)).toThrow(
    expect.objectContaining({ code: 'ROSTER_UNREADABLE', message: expect.stringMatching(sentence) }),
  );
});

test('a list that went out comes in again as it was, and nothing in it is computed by a spreadsheet', () => {
  const pupils = ['Zoë', '=1+1', '-2', '@home', 'Bo, the "small"', 'Line'].map((name, index) => ({
    name,
    reference: index % 2 ? null : `+${index}`,
  }));
  const csv = rosterCsv(pupils);
  for (const line of csv.slice(1).split('\r\n')) for (const cell of line.split(',')) expect(cell).not.toMatch(/^"?[=+\-@]/);
  expect(entries(utf8(csv)).map(({ line: _line, ...rest }) => rest)).toEqual(pupils.map((pupil) => ({ kind: 'new', ...pupil })));
});

test('a file that comes in over the line is read for teachers alone', async () => {
  const school = await new School().start();
  const teacher = await school.teacher();
  const send = (who: typeof teacher) =>
    who.send('POST', '/api/roster-files', Buffer.from('name\nMarit'), { 'content-type': 'application/octet-stream' });
  expect((await send(teacher)).json()).toEqual({
    encoding: 'UTF-8',
    rows: [
      { line: 1, cells: ['name'] },
      { line: 2, cells: ['Marit'] },
    ],
  });
  expect((await send(school.browser())).json()).toMatchObject({ code: 'SIGN_IN_NEEDED' });
  await school.remove();
});
