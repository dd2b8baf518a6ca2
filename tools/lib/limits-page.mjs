/** Everything that is bounded, as a page: written from the one list of the contract. */
export function limitsPage({ COUNTS, SIZES, RATES, PARTS }) {
  const number = (value) => value.toLocaleString('en');
  const size = (bytes) => (bytes >= 2 ** 20 ? `${number(bytes / 2 ** 20)} MB` : `${number(bytes / 2 ** 10)} kB`);
  const time = (seconds) => (seconds === 60 ? 'minute' : seconds === 3600 ? 'hour' : `${seconds} seconds`);
  const table = (heads, rows) => [
    `| ${heads.join(' | ')} |`,
    `| ${heads.map(() => '---').join(' | ')} |`,
    ...rows.map((row) => `| ${row.join(' | ')} |`),
  ];
  return [
    '# Limits',
    '',
    'Written by `npm run docs` from `contract/src/limits.ts`. Everything that can be made or sent has a bound that nobody can lift from outside: far beyond what a school needs, and low enough that no machine is filled by trying. Whoever meets one reads a sentence, and nothing is half done.',
    '',
    '## How many there can be',
    '',
    'Held by the database itself, whatever way something is made: `FULL`.',
    '',
    ...table(
      ['of', 'at most', 'for', 'then'],
      Object.values(COUNTS).map(({ most, of, per, then }) => [of.replace(/,$/, ''), number(most), per, then]),
    ),
    '',
    '## How large it may be',
    '',
    'What is larger is refused before it is read, `REQUEST_TOO_LARGE`; a stranger’s large body is not read at all.',
    '',
    ...table(
      ['of', 'at most'],
      Object.values(SIZES).map(({ bytes, of }) => [of, size(bytes)]),
    ),
    '',
    '## How often',
    '',
    'More is told to wait: `REQUEST_RATE`. Whoever is in a room or signed in is counted by themselves, and is not held up by a stranger behind the same address.',
    '',
    ...table(
      ['of', 'at most', 'within a', 'for'],
      Object.values(RATES).map(({ most, of, withinSec, per }) => [of, number(most), time(withinSec), per]),
    ),
    '',
    '## How much in one',
    '',
    ...table(
      ['of', 'at most', 'in or for'],
      Object.values(PARTS).map(({ most, of, per }) => [of, number(most), per]),
    ),
    '',
    'How long texts are, and how much stands in each part of a lesson, says `docs/lesson-file.schema.json`.',
    '',
    '## The whole',
    '',
    'Where nothing else is said, the disk bounds a school. `--quota` (or `ZEITPUNKT_QUOTA`) says how many megabytes its database may have. A school that is full goes on being read; what cannot be kept is refused with `STORE_FULL`, answers of pupils wait on their devices and come once there is room, and deleting makes room.',
    '',
  ].join('\n');
}
