import { capital } from '../words/capital.js';
import type { Tongue } from '../words/pack.js';

/** What a drafted lesson says, in one language; the teacher changes it at will. */
export interface DraftTexts {
  readonly title: (topic: string, minutes: number) => string;
  readonly goal: (topic: string) => string;
  readonly hello: string;
  /** Before the first rung: what a clock is. */
  readonly parts: string;
  readonly recall: (topic: string) => string;
  readonly today: (topic: string, criteria: readonly string[]) => string;
  /** Before the reference chart, before help is taken away, and what to do on paper. */
  readonly chart: string;
  readonly fades: string;
  readonly task: { readonly sheet: string; readonly text: string };
  readonly examples: string;
  /** Before an example that misleads: why it does. */
  readonly tricky: (why: string) => string;
  readonly turns: readonly [string, ...string[]];
  /** Before a question of any other kind. */
  readonly yourTurn: readonly [string, ...string[]];
  /** Once a lesson, with a dial to read. */
  readonly howDoYouKnow: string;
  readonly setTurns: readonly [string, ...string[]];
  readonly thinks: readonly [string, ...string[]];
  /** Only where there are two. */
  readonly bothHands: string;
  readonly stops: readonly [string, ...string[]];
  readonly mistakes: readonly [string, ...string[]];
  /** About a slip that somebody made, with what is said of it; and after one was explained, at another time. */
  readonly somebody: (said: string) => string;
  readonly sameTrap: readonly [string, ...string[]];
  readonly happens: (situation: string) => string;
  readonly happensAt: (situation: string, words: string) => string;
  readonly exit: string;
  readonly end: (next: string | null) => string;
}

export const DRAFT_TEXTS: Readonly<Record<Tongue, DraftTexts>> = {
  en: {
    title: (topic, minutes) => `${capital(topic)}, ${minutes} minutes`,
    goal: (topic) => `Read and set ${topic}.`,
    hello: 'Good morning. Have your clock ready, and look at mine.',
    parts: 'The short hand tells the hour, the long hand tells the minutes. The numerals go from 1 round to 12.',
    recall: (topic) => `Last time: ${topic}. Let’s see if we still know it.`,
    today: (topic, criteria) => `Today: ${topic}. ${criteria.join(' ')}`,
    chart: 'Here is everything on one chart. We can come back to it.',
    fades: 'From now on without the minute numbers, and both hands in one colour.',
    task: { sheet: 'Practice sheet', text: 'Draw the hands for three of the times.' },
    examples: 'I’ll read some clocks. Think along with me.',
    tricky: (why) => `Careful with this one. ${why}`,
    yourTurn: ['Your turn.', 'Now you.', 'Here is one for you.', 'What do you say to this?', 'Try this one.'],
    howDoYouKnow: 'What time is it, and how do you know?',
    turns: ['Your turn. What does this clock say?', 'Read this clock.', 'What time is it here?', 'Look at this clock. What does it say?'],
    setTurns: ['The other way round now. Turn the hands of your clock.', 'Set your clock to this time.', 'Now you set the hands.'],
    thinks: ['Think first, then answer.', 'Take your time.', 'Look again before you send it.'],
    bothHands: 'Look at both hands.',
    stops: [
      'Stop the recording here and think. Go on when you have answered.',
      'Pause here. Take as long as you need.',
      'Now stop, think, and answer. Then go on.',
      'Press pause. I’ll wait for you.',
    ],
    somebody: (said) => `Many slip here. ${said} Try it yourself.`,
    sameTrap: [
      'Now one with the same trap. Don’t let it catch you.',
      'The trap is here, too. Can you see it?',
      'And here? Read it so that nobody can fool you.',
    ],
    mistakes: [
      'Somebody has mixed these up. Look at each one by itself.',
      'Some of these are wrong. Look at them one by one.',
      'Here only some are right. Which ones?',
    ],
    happens: (situation) => `${situation}. The clock shows when.`,
    happensAt: (situation, words) => `${situation}: ${words}. Set your clock.`,
    exit: 'Before we stop: show what you know now.',
    end: (next) => (next ? `Well done. Next time: ${next}.` : 'Well done. You can read every clock now.'),
  },
  de: {
    title: (topic, minutes) => `${capital(topic)}, ${minutes} Minuten`,
    goal: (topic) => `Lesen und einstellen: ${topic}.`,
    hello: 'Guten Morgen. Legt eure Uhr bereit und schaut auf meine.',
    parts: 'Der kurze Zeiger zeigt die Stunde, der lange die Minuten. Die Zahlen gehen von der 1 herum bis zur 12.',
    recall: (topic) => `Letztes Mal: ${topic}. Mal sehen, ob wir es noch wissen.`,
    today: (topic, criteria) => `Heute: ${topic}. ${criteria.join(' ')}`,
    chart: 'Hier ist alles auf einer Tafel. Wir können immer darauf zurückkommen.',
    fades: 'Ab jetzt ohne die Minutenzahlen, und beide Zeiger in einer Farbe.',
    task: { sheet: 'Übungsblatt', text: 'Zeichne die Zeiger für drei der Zeiten.' },
    examples: 'Ich lese euch ein paar Uhren vor. Denkt mit.',
    tricky: (why) => `Bei dieser müsst ihr aufpassen. ${why}`,
    yourTurn: ['Jetzt du.', 'Du bist dran.', 'Hier ist eine für dich.', 'Was sagst du dazu?', 'Versuch diese.'],
    howDoYouKnow: 'Wie spät ist es, und woran siehst du das?',
    turns: ['Jetzt du. Was zeigt diese Uhr?', 'Lies diese Uhr.', 'Wie spät ist es hier?', 'Schau auf diese Uhr. Was zeigt sie?'],
    setTurns: ['Jetzt andersherum. Dreh die Zeiger deiner Uhr.', 'Stell deine Uhr auf diese Zeit.', 'Jetzt stellst du die Zeiger.'],
    thinks: ['Erst denken, dann antworten.', 'Lass dir Zeit.', 'Schau noch einmal hin, bevor du abschickst.'],
    bothHands: 'Schau auf beide Zeiger.',
    stops: [
      'Halte die Aufnahme hier an und denk nach. Geh weiter, wenn du geantwortet hast.',
      'Drück auf Pause. Nimm dir so viel Zeit, wie du brauchst.',
      'Halt hier an, denk nach und antworte. Dann geht es weiter.',
      'Mach hier eine Pause. Ich warte auf dich.',
    ],
    somebody: (said) => `Hier passiert vielen ein Fehler. ${said} Probier es selbst.`,
    sameTrap: [
      'Jetzt eine mit derselben Falle. Lass dich nicht hereinlegen.',
      'Auch hier steckt die Falle. Siehst du sie?',
      'Und hier? Lies sie so, dass dich niemand hereinlegt.',
    ],
    mistakes: [
      'Hier hat jemand etwas verwechselt. Schau dir jede einzeln an.',
      'Einige davon sind falsch. Schau sie dir eine nach der anderen an.',
      'Hier stimmen nur manche. Welche?',
    ],
    happens: (situation) => `${situation}. Die Uhr zeigt, wann.`,
    happensAt: (situation, words) => `${situation}: ${words}. Stell deine Uhr.`,
    exit: 'Bevor wir aufhören: Zeig, was du jetzt kannst.',
    end: (next) => (next ? `Gut gemacht. Nächstes Mal: ${next}.` : 'Gut gemacht. Du kannst jetzt jede Uhr lesen.'),
  },
};
