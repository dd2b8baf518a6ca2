import { hour24, SECONDS_PER_HALF_DAY, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { Tongue } from '../words/pack.js';
import { isNoonOrMidnight } from '../words/parts-of-day.js';

/** Hours of the day, 0 to 23, both included. */
export type Hours = readonly [from: number, to: number];

/** Something that happens on the islands. */
export interface Situation {
  /** When it usually happens: what is asked and told of it lies here. */
  readonly hours: Hours;
  /**
   * Whenever somebody could defend that it happens: wide, and several where it happens several times a day. A wrong choice
   * lies outside of all. The whole day where nobody could be wrong.
   */
  readonly fits: readonly Hours[];
  /** Something that one comes to: there is an early and a late for it. */
  readonly isMet?: true;
  /** The beginning of a sentence that a time can follow: "The mail boat leaves …". */
  readonly says: Readonly<Record<Tongue, string>>;
}

const ALWAYS: readonly Hours[] = [[0, 23]];

const at = (from: number, to: number, en: string, de: string, ...fits: readonly Hours[]): Situation => ({
  hours: [from, to],
  fits: fits.length > 0 ? fits : ALWAYS,
  says: { en, de },
});
/** The same for what one comes to. */
const met = (...parts: Parameters<typeof at>): Situation => ({ ...at(...parts), isMet: true });

/** What island life is full of: contexts for questions. */
export const SITUATIONS: readonly Situation[] = [
  at(5, 7, 'The baker lights the oven', 'Die Bäckerin heizt den Ofen an'),
  at(6, 8, 'The rooster at the pier crows', 'Der Hahn am Anleger kräht'),
  at(6, 8, 'The lamp at the harbour light goes out', 'Das Licht am Hafen geht aus', [3, 11]),
  at(6, 8, 'Anouk gets up', 'Anouk steht auf', [4, 12]),
  at(6, 8, 'The fishing boat comes in', 'Das Fischerboot kommt herein'),
  at(6, 8, 'Bashir has breakfast', 'Bashir frühstückt', [5, 11]),
  met(7, 8, 'The school ferry leaves the north island', 'Die Schulfähre legt auf der Nordinsel ab', [6, 18]),
  at(7, 9, 'Ceri feeds the sheep', 'Ceri füttert die Schafe', [5, 21]),
  at(7, 9, 'The tide gauge is read', 'Der Wasserstand wird abgelesen'),
  met(8, 9, 'School begins', 'Die Schule fängt an', [7, 13]),
  at(8, 9, 'The bell at the jetty rings', 'Die Glocke am Steg läutet'),
  at(8, 10, 'The bakery boat brings the bread', 'Das Bäckerboot bringt das Brot', [5, 19]),
  met(8, 11, 'The puffin count starts', 'Das Zählen der Papageitaucher beginnt', [4, 22]),
  met(9, 11, 'Choir by video begins', 'Der Chor über Video beginnt', [8, 22]),
  at(9, 11, 'The mail boat comes', 'Das Postboot kommt', [6, 20]),
  at(9, 11, 'Dov waters the school garden', 'Dov gießt den Schulgarten', [6, 20]),
  at(9, 12, 'The nets are hung up to dry', 'Die Netze werden zum Trocknen aufgehängt'),
  met(10, 11, 'The long break begins', 'Die große Pause beginnt', [8, 15]),
  met(10, 12, 'The library boat stops at the pier', 'Das Bücherboot hält am Anleger', [8, 20]),
  at(10, 12, 'Elin reads the thermometer', 'Elin liest das Thermometer ab'),
  at(10, 13, 'The seals lie on the rocks', 'Die Robben liegen auf den Felsen'),
  at(11, 12, 'Femi sets the table', 'Femi deckt den Tisch', [5, 21]),
  at(11, 13, 'The weather report comes', 'Der Wetterbericht kommt'),
  at(12, 13, 'Lunch is on the table', 'Das Mittagessen steht auf dem Tisch', [10, 16]),
  at(12, 13, 'The harbour cat gets her fish', 'Die Hafenkatze bekommt ihren Fisch'),
  met(12, 14, 'The noon ferry leaves', 'Die Mittagsfähre fährt ab', [11, 15]),
  at(12, 14, 'High tide reaches the steps', 'Das Hochwasser erreicht die Stufen'),
  at(13, 14, 'School is over', 'Die Schule ist aus', [11, 17]),
  met(13, 15, 'The school ferry goes home', 'Die Schulfähre fährt nach Hause', [11, 18]),
  at(13, 16, 'Gita practises the accordion', 'Gita übt Akkordeon', [7, 21]),
  at(13, 16, 'Hamza paints his boat', 'Hamza streicht sein Boot', [6, 21]),
  at(14, 16, 'The doctor’s boat comes', 'Das Boot der Ärztin kommt'),
  at(14, 16, 'Inka collects shells', 'Inka sammelt Muscheln', [6, 21]),
  met(14, 16, 'The shop at the pier opens again', 'Der Laden am Anleger öffnet wieder', [6, 20]),
  at(14, 17, 'Jory flies his kite', 'Jory lässt seinen Drachen steigen', [7, 21]),
  at(14, 17, 'The sheep are moved to the other meadow', 'Die Schafe kommen auf die andere Wiese', [5, 21]),
  at(15, 16, 'Kaia has her swimming lesson', 'Kaia hat Schwimmunterricht', [6, 21]),
  at(15, 17, 'Low tide lets us walk across', 'Bei Niedrigwasser können wir hinübergehen'),
  met(15, 17, 'The mail boat leaves', 'Das Postboot fährt ab', [5, 20]),
  at(15, 18, 'Leif calls his grandmother', 'Leif ruft seine Großmutter an', [7, 21]),
  met(16, 17, 'The drum group meets', 'Die Trommelgruppe trifft sich', [8, 21]),
  at(16, 18, 'Mirela mends a net', 'Mirela flickt ein Netz', [5, 22]),
  at(16, 18, 'The wind turbine is checked', 'Das Windrad wird geprüft'),
  at(16, 18, 'Noor milks the goat', 'Noor melkt die Ziege', [4, 21]),
  met(16, 19, 'The rowing race starts', 'Das Ruderrennen beginnt', [7, 21]),
  met(17, 18, 'The shop at the pier closes', 'Der Laden am Anleger schließt', [11, 22]),
  at(17, 19, 'Oskar cooks soup', 'Oskar kocht Suppe', [9, 21]),
  at(17, 19, 'The hens go into their house', 'Die Hühner gehen in ihren Stall', [15, 23]),
  at(17, 19, 'Pia feeds the rabbits', 'Pia füttert die Kaninchen', [5, 21]),
  at(17, 19, 'The evening ferry arrives', 'Die Abendfähre kommt an', [16, 23]),
  at(18, 19, 'Supper is ready', 'Das Abendessen ist fertig', [16, 22]),
  at(18, 20, 'The island radio plays a story', 'Das Inselradio bringt eine Geschichte', [6, 22]),
  at(18, 20, 'Quill brushes her teeth', 'Quill putzt sich die Zähne', [5, 10], [17, 23]),
  at(18, 20, 'The nets are taken down', 'Die Netze werden abgenommen'),
  at(18, 20, 'Runa reads in bed', 'Runa liest im Bett', [5, 10], [17, 23]),
  at(19, 20, 'The lamp at the harbour light is lit', 'Das Licht am Hafen wird angezündet', [15, 23]),
  at(19, 20, 'Sami goes to bed', 'Sami geht ins Bett', [17, 23]),
  at(19, 21, 'The bats fly out of the old mill', 'Die Fledermäuse fliegen aus der alten Mühle', [16, 23], [0, 5]),
  at(19, 21, 'The stars come out over the bay', 'Über der Bucht kommen die Sterne heraus', [15, 23], [0, 5]),
  met(20, 22, 'The night ferry leaves', 'Die Nachtfähre fährt ab', [18, 23], [0, 5]),
  at(20, 22, 'The harbour goes quiet', 'Im Hafen wird es still'),
  at(21, 23, 'The owl calls at the chapel', 'An der Kapelle ruft die Eule', [16, 23], [0, 6]),
];

const isWithin = (hour: number, [from, to]: Hours): boolean => hour >= from && hour <= to;

/** The situations that are usual at an hour, 0 to 23. */
export function situationsAt(hour: number): readonly Situation[] {
  return SITUATIONS.filter(({ hours }) => isWithin(hour, hours));
}

/** Whether nobody could defend that something happens at a moment. */
export function isNever({ fits }: Situation, at: SecondOfDay): boolean {
  return !fits.some((hours) => isWithin(hour24(at), hours));
}

/** Whether something that happens at a moment cannot happen as well when the dial shows the same twelve hours later. */
export function tellsTheHalf(situation: Situation, at: SecondOfDay): boolean {
  return !isNoonOrMidnight(at) && isNever(situation, wrapSecondOfDay(at + SECONDS_PER_HALF_DAY));
}
