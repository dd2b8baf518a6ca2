import type { Tongue } from '../../words/pack.js';

/** Something that happens on the islands, with the hours of the day in which it makes sense, 0 to 23, both included. */
export interface Situation {
  readonly hours: readonly [from: number, to: number];
  /** The beginning of a sentence that a time can follow: "The mail boat leaves …". */
  readonly says: Readonly<Record<Tongue, string>>;
}

const at = (from: number, to: number, en: string, de: string): Situation => ({ hours: [from, to], says: { en, de } });

/** What island life is full of: contexts for questions. */
export const SITUATIONS: readonly Situation[] = [
  at(5, 7, 'The baker lights the oven', 'Die Bäckerin heizt den Ofen an'),
  at(6, 8, 'The rooster at the pier crows', 'Der Hahn am Anleger kräht'),
  at(6, 8, 'The lamp at the harbour light goes out', 'Das Licht am Hafen geht aus'),
  at(6, 8, 'Anouk gets up', 'Anouk steht auf'),
  at(6, 8, 'The fishing boat comes in', 'Das Fischerboot kommt herein'),
  at(6, 8, 'Bashir has breakfast', 'Bashir frühstückt'),
  at(7, 8, 'The school ferry leaves the north island', 'Die Schulfähre legt auf der Nordinsel ab'),
  at(7, 9, 'Ceri feeds the sheep', 'Ceri füttert die Schafe'),
  at(7, 9, 'The tide gauge is read', 'Der Wasserstand wird abgelesen'),
  at(8, 9, 'School begins', 'Die Schule fängt an'),
  at(8, 9, 'The bell at the jetty rings', 'Die Glocke am Steg läutet'),
  at(8, 10, 'The bakery boat brings the bread', 'Das Bäckerboot bringt das Brot'),
  at(8, 11, 'The puffin count starts', 'Das Zählen der Papageitaucher beginnt'),
  at(9, 11, 'Choir by video begins', 'Der Chor über Video beginnt'),
  at(9, 11, 'The mail boat comes', 'Das Postboot kommt'),
  at(9, 11, 'Dov waters the school garden', 'Dov gießt den Schulgarten'),
  at(9, 12, 'The nets are hung up to dry', 'Die Netze werden zum Trocknen aufgehängt'),
  at(10, 11, 'The long break begins', 'Die große Pause beginnt'),
  at(10, 12, 'The library boat stops at the pier', 'Das Bücherboot hält am Anleger'),
  at(10, 12, 'Elin reads the thermometer', 'Elin liest das Thermometer ab'),
  at(10, 13, 'The seals lie on the rocks', 'Die Robben liegen auf den Felsen'),
  at(11, 12, 'Femi sets the table', 'Femi deckt den Tisch'),
  at(11, 13, 'The weather report comes', 'Der Wetterbericht kommt'),
  at(12, 13, 'Lunch is on the table', 'Das Mittagessen steht auf dem Tisch'),
  at(12, 13, 'The harbour cat gets her fish', 'Die Hafenkatze bekommt ihren Fisch'),
  at(12, 14, 'The noon ferry leaves', 'Die Mittagsfähre fährt ab'),
  at(12, 14, 'High tide reaches the steps', 'Das Hochwasser erreicht die Stufen'),
  at(13, 14, 'School is over', 'Die Schule ist aus'),
  at(13, 15, 'The school ferry goes home', 'Die Schulfähre fährt nach Hause'),
  at(13, 16, 'Gita practises the accordion', 'Gita übt Akkordeon'),
  at(13, 16, 'Hamza paints his boat', 'Hamza streicht sein Boot'),
  at(14, 16, 'The doctor’s boat comes', 'Das Boot der Ärztin kommt'),
  at(14, 16, 'Inka collects shells', 'Inka sammelt Muscheln'),
  at(14, 16, 'The shop at the pier opens again', 'Der Laden am Anleger öffnet wieder'),
  at(14, 17, 'Jory flies his kite', 'Jory lässt seinen Drachen steigen'),
  at(14, 17, 'The sheep are moved to the other meadow', 'Die Schafe kommen auf die andere Wiese'),
  at(15, 16, 'Kaia has her swimming lesson', 'Kaia hat Schwimmunterricht'),
  at(15, 17, 'Low tide lets us walk across', 'Bei Niedrigwasser können wir hinübergehen'),
  at(15, 17, 'The mail boat leaves', 'Das Postboot fährt ab'),
  at(15, 18, 'Leif calls his grandmother', 'Leif ruft seine Großmutter an'),
  at(16, 17, 'The drum group meets', 'Die Trommelgruppe trifft sich'),
  at(16, 18, 'Mirela mends a net', 'Mirela flickt ein Netz'),
  at(16, 18, 'The wind turbine is checked', 'Das Windrad wird geprüft'),
  at(16, 18, 'Noor milks the goat', 'Noor melkt die Ziege'),
  at(16, 19, 'The rowing race starts', 'Das Ruderrennen beginnt'),
  at(17, 18, 'The shop at the pier closes', 'Der Laden am Anleger schließt'),
  at(17, 19, 'Oskar cooks soup', 'Oskar kocht Suppe'),
  at(17, 19, 'The hens go into their house', 'Die Hühner gehen in ihren Stall'),
  at(17, 19, 'Pia feeds the rabbits', 'Pia füttert die Kaninchen'),
  at(17, 19, 'The evening ferry arrives', 'Die Abendfähre kommt an'),
  at(18, 19, 'Supper is ready', 'Das Abendessen ist fertig'),
  at(18, 20, 'The island radio plays a story', 'Das Inselradio bringt eine Geschichte'),
  at(18, 20, 'Quill brushes her teeth', 'Quill putzt sich die Zähne'),
  at(18, 20, 'The nets are taken down', 'Die Netze werden abgenommen'),
  at(18, 20, 'Runa reads in bed', 'Runa liest im Bett'),
  at(19, 20, 'The lamp at the harbour light is lit', 'Das Licht am Hafen wird angezündet'),
  at(19, 20, 'Sami goes to bed', 'Sami geht ins Bett'),
  at(19, 21, 'The bats fly out of the old mill', 'Die Fledermäuse fliegen aus der alten Mühle'),
  at(19, 21, 'The stars come out over the bay', 'Über der Bucht kommen die Sterne heraus'),
  at(20, 22, 'The night ferry leaves', 'Die Nachtfähre fährt ab'),
  at(20, 22, 'The harbour goes quiet', 'Im Hafen wird es still'),
  at(21, 23, 'The owl calls at the chapel', 'An der Kapelle ruft die Eule'),
];

/** The situations that make sense at an hour, 0 to 23. */
export function situationsAt(hour: number): readonly Situation[] {
  return SITUATIONS.filter(({ hours: [from, to] }) => hour >= from && hour <= to);
}
