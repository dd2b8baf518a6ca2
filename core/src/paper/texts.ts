import type { Tongue } from '../words/pack.js';

/** What stands on sheets for pupils, in the language of the lesson. */
export interface PaperTexts {
  readonly name: string;
  /** How each way of answering is done with a pencil. */
  readonly how: {
    readonly draw: string;
    readonly one: string;
    readonly several: string;
    readonly join: string;
    readonly order: string;
  };
  readonly cutDial: { readonly title: string; readonly steps: readonly string[]; readonly hour: string; readonly minute: string };
  readonly zones: { readonly title: string; readonly say: string; readonly which: string };
  readonly pencil: { readonly title: string; readonly say: string; readonly steps: readonly string[] };
  readonly strip: { readonly title: string; readonly say: string; readonly parts: readonly [string, string, string, string] };
  readonly day: { readonly title: string; readonly say: string; readonly glue: string };
  readonly cards: { readonly title: string; readonly card: (card: number) => string };
}

const en: PaperTexts = {
  name: 'Name',
  how: {
    draw: 'Draw both hands: the short one first.',
    one: 'Tick one.',
    several: 'Tick all that are right.',
    join: 'Draw a line from each letter to its number.',
    order: 'Write the letters in order.',
  },
  cutDial: {
    title: 'A dial to cut out',
    steps: [
      'Stick the page on card, and cut out the dial with its twelve flaps, and both hands.',
      'Cut between the flaps as far as the rim. Fold all of them back: now only the hours are seen.',
      'Make a hole in the middle of the dial and of each hand. Fix them with a paper fastener, the short hand below.',
      'Read the short hand first. Then fold up the flaps from the 1 on, and count the minutes: 5, 10, 15.',
    ],
    hour: 'hour hand',
    minute: 'minute hand',
  },
  zones: {
    title: 'Zones to colour',
    say: 'Each hour has a zone, from its number to the next one. Colour each zone in a colour of its own.',
    which: 'In which zone is the short hand? Write its hour.',
  },
  pencil: {
    title: 'Draw a dial with a pencil',
    say: 'You need paper, a pencil and a cup.',
    steps: [
      'Put the cup on the paper, and draw round it.',
      'Put a dot in the middle.',
      'Write 12 at the top and 6 at the bottom, 3 on the right and 9 on the left.',
      'Write two numbers in each gap: 1 and 2, 4 and 5, 7 and 8, 10 and 11.',
      'Draw the short hand. At half past seven it is half way from 7 to 8.',
      'Draw the long hand. At half past it points at the 6.',
    ],
  },
  strip: {
    title: 'An hour as a strip',
    say: 'Cut out the strips, and lay them under each other: how many of each make a whole hour?',
    parts: ['1 hour = 60 minutes', 'half an hour = 30 minutes', 'quarter of an hour = 15 minutes', '5'],
  },
  day: {
    title: 'A day line to put together',
    say: 'Cut out the four strips, and glue them one after another: a day from midnight to midnight. Draw beside it what you do, and when.',
    glue: 'glue here',
  },
  cards: { title: 'Daily cards', card: (card) => `Card ${card}` },
};

const de: PaperTexts = {
  name: 'Name',
  how: {
    draw: 'Zeichne beide Zeiger: zuerst den kurzen.',
    one: 'Kreuze eins an.',
    several: 'Kreuze alle an, die stimmen.',
    join: 'Zieh von jedem Buchstaben eine Linie zu seiner Zahl.',
    order: 'Schreib die Buchstaben der Reihe nach auf.',
  },
  cutDial: {
    title: 'Eine Uhr zum Ausschneiden',
    steps: [
      'Kleb das Blatt auf Karton und schneide die Uhr mit ihren zwölf Klappen und beide Zeiger aus.',
      'Schneide zwischen den Klappen bis zum Rand ein. Klapp alle nach hinten: Jetzt sieht man nur die Stunden.',
      'Mach ein Loch in die Mitte der Uhr und in jeden Zeiger. Steck sie mit einer Klammer zusammen, den kurzen Zeiger nach unten.',
      'Lies zuerst den kurzen Zeiger. Klapp dann die Klappen von der 1 an auf und zähl die Minuten: 5, 10, 15.',
    ],
    hour: 'Stundenzeiger',
    minute: 'Minutenzeiger',
  },
  zones: {
    title: 'Felder zum Anmalen',
    say: 'Jede Stunde hat ein Feld, von ihrer Zahl bis zur nächsten. Mal jedes Feld in einer eigenen Farbe an.',
    which: 'In welchem Feld ist der kurze Zeiger? Schreib die Stunde auf.',
  },
  pencil: {
    title: 'Eine Uhr mit dem Bleistift zeichnen',
    say: 'Du brauchst Papier, einen Bleistift und eine Tasse.',
    steps: [
      'Stell die Tasse aufs Papier und zeichne um sie herum.',
      'Mach einen Punkt in die Mitte.',
      'Schreib oben 12, unten 6, rechts 3 und links 9.',
      'Schreib in jede Lücke zwei Zahlen: 1 und 2, 4 und 5, 7 und 8, 10 und 11.',
      'Zeichne den kurzen Zeiger. Um halb acht ist er auf dem halben Weg von 7 zu 8.',
      'Zeichne den langen Zeiger. Bei halb zeigt er auf die 6.',
    ],
  },
  strip: {
    title: 'Eine Stunde als Streifen',
    say: 'Schneide die Streifen aus und leg sie untereinander: Wie viele von jedem sind eine ganze Stunde?',
    parts: ['1 Stunde = 60 Minuten', 'halbe Stunde = 30 Minuten', 'Viertelstunde = 15 Minuten', '5'],
  },
  day: {
    title: 'Ein Tagesstreifen zum Zusammenkleben',
    say: 'Schneide die vier Streifen aus und kleb sie aneinander: ein Tag von Mitternacht bis Mitternacht. Zeichne dazu, was du wann machst.',
    glue: 'hier kleben',
  },
  cards: { title: 'Karten für jeden Tag', card: (card) => `Karte ${card}` },
};

const TEXTS: Readonly<Record<Tongue, PaperTexts>> = { en, de };

export const paperTextsOf = (tongue: Tongue): PaperTexts => TEXTS[tongue];
