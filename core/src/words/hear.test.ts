import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { toSecondOfDay } from '../time/second-of-day.js';
import { hear } from './hear.js';
import type { Heard } from './heard.js';
import { slipsBetween } from './letters.js';
import { WORD_PACKS, type WordPackId } from './registry.js';
import { say } from './say.js';

/** The meaning in the notation of the samples: "12h 7:05", "24h 19:45", "misconception zero-dropped 7:05", "unreadable". */
function meaning(heard: Heard): string {
  if (heard.kind === 'unreadable') return 'unreadable';
  const hour = Math.floor(heard.minuteOfDay / 60);
  const minute = String(heard.minuteOfDay % 60).padStart(2, '0');
  if (heard.misconception) return `misconception ${heard.misconception} ${hour || 12}:${minute}`;
  return heard.halfKnown ? `24h ${String(hour).padStart(2, '0')}:${minute}` : `12h ${hour || 12}:${minute}`;
}

const samples = readFileSync(join(__dirname, 'typed-times.tsv'), 'utf8')
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .map((line) => line.split('\t') as [string, WordPackId, string, string, string]);

test.each(samples)('“%s” (%s) is %s', (text, pack, expected, form, slips) => {
  const heard = hear(text, WORD_PACKS[pack]);
  expect(meaning(heard)).toBe(expected);
  if (heard.kind === 'time') expect([heard.form, Math.min(1, heard.slips)]).toEqual([form, Number(slips)]);
});

test.each<[string, WordPackId, string]>([
  ['quarter two four', 'en-GB', '12h 3:45'],
  ['half past to', 'en-GB', '12h 2:30'],
  ['ten too ate', 'en-GB', '12h 7:50'],
  ['fiveteen past 2', 'en-GB', '12h 2:15'],
  ['7oclock', 'en-GB', '12h 7:00'],
  ['its half past 3', 'en-GB', '12h 3:30'],
  ['quarter to midnight', 'en-GB', '24h 23:45'],
  ['half past noon', 'en-GB', '24h 12:30'],
  ['ten past 12 at night', 'en-GB', '24h 00:10'],
  ['seven five', 'en-GB', 'misconception zero-dropped 7:05'],
  ['7pm', 'en-GB', '24h 19:00'],
  ['12:60', 'en-GB', 'misconception sixty-at-top 1:00'],
  ['quarter after 3', 'en-GB', 'unreadable'],
  ['halb acht', 'en-GB', 'unreadable'],
  ['half past seven', 'de', 'unreadable'],
  ['zwanzig vor neun abends', 'de', '24h 20:40'],
  ['fünfundzwanzig nach drei', 'de', '12h 3:25'],
  ['zehn vor halb eins', 'de', '12h 12:20'],
  ['24:00', 'en-GB', 'unreadable'],
  ['7-05', 'en-GB', '12h 7:05'],
  ['7..05', 'en-GB', '12h 7:05'],
  ['７：０５', 'en-GB', '12h 7:05'],
  ['"7:05"', 'en-GB', '12h 7:05'],
  ['7:-5', 'en-GB', 'unreadable'],
  ['seven 05', 'en-GB', '12h 7:05'],
  ['7:30 in the evening', 'en-GB', '24h 19:30'],
  ['7:5 in the evening', 'en-GB', 'misconception zero-dropped 19:05'],
  ['19:30 in the evening', 'en-GB', '24h 19:30'],
  ['19:30 in the morning', 'en-GB', 'unreadable'],
  ['noon in the morning', 'en-GB', 'unreadable'],
  ['12:00 midnight', 'en-GB', '24h 00:00'],
  ["twelve o'clock noon", 'en-GB', '24h 12:00'],
  ['12:30 noon', 'en-GB', 'unreadable'],
  ['halfpast seven', 'en-GB', '12h 7:30'],
  ['quarterpast7', 'en-GB', '12h 7:15'],
  ['sevenoclock', 'en-GB', '12h 7:00'],
  ["half past 7 o'clock", 'en-GB', '12h 7:30'],
  ['½ past 7', 'en-GB', '12h 7:30'],
  ['1/4 to 8', 'en-GB', '12h 7:45'],
  ['to seven', 'en-GB', 'unreadable'],
  ['to', 'en-GB', 'unreadable'],
  ['nineteen forty-five', 'en-GB', '24h 19:45'],
  ['twenty-two oh five', 'en-US', '24h 22:05'],
  ['7.30 Uhr', 'de', '12h 7:30'],
  ['19:45 Uhr', 'de', '24h 19:45'],
  ['um 7:30 Uhr abends', 'de', '24h 19:30'],
  ['neunzehn Uhr morgens', 'de', 'unreadable'],
  ['zwölf Uhr mittags', 'de', '24h 12:00'],
  ['ein Viertel nach sechs', 'de', '12h 6:15'],
  ['¾ 8', 'de', '12h 7:45'],
  ['halb8', 'de', '12h 7:30'],
  ['halb acht Uhr', 'de', '12h 7:30'],
  ['5 to', 'en-GB', 'unreadable'],
  ['ten to', 'en-GB', 'unreadable'],
  ['ten to', 'en-US', 'unreadable'],
  ['even', 'en-GB', 'unreadable'],
  ['none', 'en-GB', 'unreadable'],
  ['moon', 'en-US', 'unreadable'],
  ['soon', 'en-GB', 'unreadable'],
  ['nein', 'en-GB', 'unreadable'],
  ['nein', 'de', 'unreadable'],
  ['halb 4', 'en-GB', 'unreadable'],
  ['I think quarter past 3', 'en-GB', '12h 3:15'],
  ['I think it is 7:05', 'en-GB', '12h 7:05'],
  ['the time is 3:15', 'en-US', '12h 3:15'],
  ['It is now half past three.', 'en-GB', '12h 3:30'],
  ['the clock says 7:30', 'en-GB', '12h 7:30'],
  ['the clock says', 'en-GB', 'unreadable'],
  ['Ich glaube, es ist halb acht', 'de', '12h 7:30'],
  ['10to4', 'en-GB', '12h 3:50'],
  ['quarter to2', 'en-GB', '12h 1:45'],
  ['mid day', 'en-GB', '24h 12:00'],
  ['7 0’clock', 'en-GB', '12h 7:00'],
  ['70clock', 'en-GB', '12h 7:00'],
  ['10 0clock', 'en-GB', '12h 10:00'],
  ['7 o,clock', 'en-GB', '12h 7:00'],
  ['7 o-clock', 'en-GB', '12h 7:00'],
  ["7 oc'lock", 'en-GB', '12h 7:00'],
  ["7 o' clock", 'en-GB', '12h 7:00'],
  ['seven o clock', 'en-GB', '12h 7:00'],
  ['kwota past 3', 'en-GB', '12h 3:15'],
  ['corta to 8', 'en-GB', '12h 7:45'],
  ['kworter past six', 'en-US', '12h 6:15'],
  ['a minute past 3', 'en-GB', '12h 3:01'],
  ['a minute to 3', 'en-GB', '12h 2:59'],
  ['half after 3', 'en-US', '12h 3:30'],
  ['ten until 4', 'en-US', '12h 3:50'],
  ['ten off 4', 'en-US', '12h 3:50'],
  ['fünf und zwanzig nach drei', 'de', '12h 3:25'],
  ['acht Uhr am Abend', 'de', '24h 20:00'],
  ['six firty', 'en-GB', '12h 6:30'],
  ['six furty', 'en-GB', '12h 6:30'],
  ['six therty', 'en-GB', '12h 6:30'],
  ['six fithty', 'en-GB', '12h 6:50'],
  ['haf parst free', 'en-GB', '12h 3:30'],
  ['half past ait', 'en-GB', '12h 8:30'],
  ['half past twelw', 'en-GB', '12h 12:30'],
  ['half past siks', 'en-GB', '12h 6:30'],
  ['half past tn', 'en-GB', '12h 10:30'],
  ['kwortr too fore', 'en-GB', '12h 3:45'],
  ['courter past 3', 'en-GB', '12h 3:15'],
  ['fife past two', 'en-GB', '12h 2:05'],
  ['ten minits too nine', 'en-GB', '12h 8:50'],
  ['nine o klok', 'en-GB', '12h 9:00'],
  ['sevn forty fiv', 'en-GB', '12h 7:45'],
  ['seven forteen', 'en-GB', '12h 7:14'],
  ['i thik it is half past 7', 'en-GB', '12h 7:30'],
  ['half after 3', 'en-GB', '12h 3:30'],
  ['one quarter past three', 'en-GB', '12h 3:15'],
  ['7/30', 'en-GB', '12h 7:30'],
  ["7'30", 'en-GB', '12h 7:30'],
  ['7:3o', 'en-GB', '12h 7:30'],
  ['l0:30', 'en-GB', '12h 10:30'],
  ['hafe past nine', 'en-GB', '12h 9:30'],
  ['half after 3', 'en-US', '12h 3:30'],
  ["three o'five", 'en-US', '12h 3:05'],
  ['halb sibn', 'de', '12h 6:30'],
  ['halb noin', 'de', '12h 8:30'],
  ['halb elv', 'de', '12h 10:30'],
  ['halb vir', 'de', '12h 3:30'],
  ['viertel nch 3', 'de', '12h 3:15'],
  ['zwanzik vor drei', 'de', '12h 2:40'],
  ['genau drei Uhr', 'de', '12h 3:00'],
  ['drei uhr firzig', 'de', '12h 3:40'],
  ['about half past 3', 'en-GB', '12h 3:30'],
  ['four fivety', 'en-GB', '12h 4:50'],
  ['to thirty', 'en-GB', '12h 2:30'],
  ['seven seven seven', 'en-GB', 'unreadable'],
  ['constructor', 'en-GB', 'unreadable'],
  ['toString past 7', 'en-GB', 'unreadable'],
])('“%s” (%s) is %s as well', (text, pack, expected) => {
  expect(meaning(hear(text, WORD_PACKS[pack]))).toBe(expected);
});

test('what is said is heard: every minute of the day, pack and wording, without a slip', () => {
  for (const pack of Object.values(WORD_PACKS)) {
    for (let minute = 0; minute < 1440; minute++) {
      const at = toSecondOfDay(minute * 60);
      for (const wording of say(at, pack))
        expect([wording, hear(wording, pack)]).toEqual([
          wording,
          expect.objectContaining({ minuteOfDay: minute % 720, slips: 0, misconception: null }),
        ]);
      for (const wording of say(at, pack, 'half-day')) {
        const heard = hear(wording, pack);
        // German hours from 1 to 12 can be either half of the day, as they are in speech.
        expect([wording, heard.kind === 'time' && (heard.halfKnown ? heard.minuteOfDay : heard.minuteOfDay % 720)]).toEqual([
          wording,
          heard.kind === 'time' && heard.halfKnown ? minute : minute % 720,
        ]);
      }
    }
  }
});

test('a text of any length and any letters is answered at once, and never throws', () => {
  for (const text of ['x'.repeat(5000), 'half '.repeat(40), '\u0000', '7:30:15', '-7:30', 'e\u0301'])
    expect(hear(text, WORD_PACKS['en-GB']).kind).toBe('unreadable');
});

test('digits of any script are digits', () => {
  for (const text of ['١٢:٣٠', '12:3٠', '１２：３０', '१२:३०'])
    expect(hear(text, WORD_PACKS['en-GB'])).toMatchObject({ minuteOfDay: 30, form: 'display' });
});

test('slips are letters left out, added, exchanged or taken for others', () => {
  expect([
    slipsBetween('seven', 'sevn'),
    slipsBetween('half', 'hlaf'),
    slipsBetween('quarter', 'kwarter'),
    slipsBetween('ten', 'ten'),
  ]).toEqual([1, 1, 2, 0]);
});
