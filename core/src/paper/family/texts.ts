import type { Verdict } from '../../question-kinds/question-kind.js';
import type { Tongue } from '../../words/pack.js';

/** What stands on papers about what is kept, for families. */
export interface FamilyTexts {
  readonly record: {
    title(name: string): string;
    about(className: string, day: string): string;
    readonly reference: string;
    readonly left: string;
    readonly card: string;
    readonly lesson: Readonly<Record<'live' | 'own', string>>;
    readonly came: string;
    readonly notCome: string;
    readonly finished: string;
    readonly line: string;
    readonly unknown: string;
    readonly verdicts: Readonly<Record<Verdict, string>>;
    readonly unreadable: string;
    attempt(number: number): string;
    readonly sources: Readonly<Record<'device' | 'paper' | 'spoken', string>>;
    readonly late: string;
    readonly notCounted: string;
    seconds(number: string): string;
    readonly said: string;
    readonly corrected: string;
    readonly remark: string;
    readonly remarks: string;
    readonly ideas: string;
    readonly home: string;
    readonly sheets: string;
    readonly nothing: string;
    readonly foot: string;
  };
  readonly kept: {
    title(className: string): string;
    about(day: string): string;
    readonly what: string;
    readonly whatIs: readonly string[];
    readonly not: string;
    readonly where: string;
    whereIs(address: string): string;
    readonly onDevice: string;
    readonly howLong: string;
    days(days: number | null): string;
    readonly leavers: string;
    backups(most: number, sealed: boolean): string;
    readonly noBackups: string;
    readonly who: string;
    readonly whoIs: readonly string[];
    readonly ask: string;
    readonly askIs: string;
    readonly law: string;
    readonly signature: string;
  };
}

const en: FamilyTexts = {
  record: {
    title: (name) => `What is kept about ${name}`,
    about: (className, day) =>
      `Class ${className}, as of ${day}. This is all that the school’s program for learning the clock keeps about this child.`,
    reference: 'The school’s own mark',
    left: 'Left the class on',
    card: 'Has a card to come in with, made on',
    lesson: { live: 'Taught together', own: 'At their own pace' },
    came: 'Came in at',
    notCome: 'Did not come in',
    finished: 'Finished on',
    line: 'Written by the teacher',
    unknown: 'A question that is not known any more',
    verdicts: {
      right: 'right',
      'right-other-form': 'right in time, in another form',
      partly: 'partly right',
      'not-yet': 'not yet right',
      blank: 'left empty',
    },
    unreadable: 'An answer that cannot be read any more',
    attempt: (number) => `attempt ${number}`,
    sources: { device: '', paper: 'on paper', spoken: 'said aloud' },
    late: 'came later',
    notCounted: 'not counted',
    seconds: (number) => `${number} s`,
    said: 'Read by the child',
    corrected: 'Marked by the teacher afterwards',
    remark: 'Remark of the teacher',
    remarks: 'Remarks of the teacher',
    ideas: 'An answer that fits',
    home: 'Page for home',
    sheets: 'Sheets with this name',
    nothing: 'No answers yet.',
    foot: 'Marks and ideas are hints for teaching, not grades.',
  },
  kept: {
    title: (className) => `What is kept of ${className}`,
    about: (day) => `About the program with which the class learns to read the clock. As of ${day}.`,
    what: 'What is kept',
    whatIs: [
      'The name by which the child is called in class; the school’s own number, if the school enters one.',
      'Each answer to a question: what was asked, what was answered, when, how long it took, and how it was marked.',
      'Which wrong idea an answer fits, so that the teacher knows what to explain.',
      'When the child came into a lesson and left it. What the teacher writes about the child: remarks, and a page for home.',
    ],
    not: 'Not kept: no e-mail, no password, no address, no picture and no sound of a child. Nothing goes to anybody outside, and nothing is sold or used for advertising.',
    where: 'Where',
    whereIs: (address) => `On the machine of the school, reached at ${address}, and on no other.`,
    onDevice:
      'On the child’s device: an answer that is being written or could not be sent yet, until it is sent, and a mark by which the school’s machine knows the device again.',
    howLong: 'For how long',
    days: (days) =>
      days === null
        ? 'Answers are kept until the teacher deletes them.'
        : `Answers are deleted ${days} days after their lesson, by themselves.`,
    leavers: 'A child can be deleted with everything at any time.',
    backups: (most, sealed) =>
      `Each day the school makes a copy, so that nothing is lost if the machine breaks${sealed ? ', sealed with a passphrase' : ''}. The newest ${most} are kept: what is deleted is gone from all of them after ${most} days at the latest, or as soon as the school deletes the older ones.`,
    noBackups: 'No copies are made by the program itself.',
    who: 'Who sees it',
    whoIs: [
      'The teacher of the class. Other teachers of the school do not, and other children see no answers with a name.',
      'Whoever looks after the school’s machine can read its files.',
    ],
    ask: 'What you can ask for',
    askIs: 'To see all that is kept about your child, to have it as a file, to have it put right, and to have it deleted. Ask the teacher.',
    law: 'What may be kept about children, and for how long, is decided by the rules of the school and by the law, not by this program.',
    signature: 'School, place, date',
  },
};

const de: FamilyTexts = {
  record: {
    title: (name) => `Was über ${name} gespeichert ist`,
    about: (className, day) =>
      `Klasse ${className}, Stand ${day}. Das ist alles, was das Programm zum Lernen der Uhr in der Schule über dieses Kind speichert.`,
    reference: 'Eigenes Zeichen der Schule',
    left: 'Hat die Klasse verlassen am',
    card: 'Hat eine Karte zum Hereinkommen, gemacht am',
    lesson: { live: 'Gemeinsam unterrichtet', own: 'Im eigenen Tempo' },
    came: 'Gekommen um',
    notCome: 'Nicht gekommen',
    finished: 'Fertig am',
    line: 'Von der Lehrkraft geschrieben',
    unknown: 'Eine Frage, die nicht mehr bekannt ist',
    verdicts: {
      right: 'richtig',
      'right-other-form': 'die Zeit ist richtig, die Form eine andere',
      partly: 'teilweise richtig',
      'not-yet': 'noch nicht richtig',
      blank: 'leer gelassen',
    },
    unreadable: 'Eine Antwort, die nicht mehr gelesen werden kann',
    attempt: (number) => `${number}. Versuch`,
    sources: { device: '', paper: 'auf Papier', spoken: 'laut gesagt' },
    late: 'kam später',
    notCounted: 'zählt nicht',
    seconds: (number) => `${number} s`,
    said: 'Das hat das Kind gelesen',
    corrected: 'Von der Lehrkraft später gewertet',
    remark: 'Bemerkung der Lehrkraft',
    remarks: 'Bemerkungen der Lehrkraft',
    ideas: 'Eine Antwort, die passt zu',
    home: 'Seite für zu Hause',
    sheets: 'Arbeitsblätter mit diesem Namen',
    nothing: 'Noch keine Antworten.',
    foot: 'Wertungen und Vermutungen helfen beim Unterrichten, sie sind keine Noten.',
  },
  kept: {
    title: (className) => `Was von der Klasse ${className} gespeichert ist`,
    about: (day) => `Über das Programm, mit dem die Klasse die Uhr lernt. Stand ${day}.`,
    what: 'Was gespeichert ist',
    whatIs: [
      'Der Name, mit dem das Kind in der Klasse gerufen wird; eine eigene Nummer der Schule, wenn sie eine einträgt.',
      'Jede Antwort auf eine Frage: was gefragt wurde, was geantwortet wurde, wann, wie lange es gedauert hat, und wie es gewertet wurde.',
      'Zu welcher falschen Vorstellung eine Antwort passt, damit die Lehrkraft weiß, was zu erklären ist.',
      'Wann das Kind in eine Stunde gekommen und gegangen ist. Was die Lehrkraft über das Kind schreibt: Bemerkungen und eine Seite für zu Hause.',
    ],
    not: 'Nicht gespeichert: keine E-Mail, kein Passwort, keine Anschrift, kein Bild und kein Ton eines Kindes. Nichts geht nach außen, nichts wird verkauft oder für Werbung benutzt.',
    where: 'Wo',
    whereIs: (address) => `Auf dem Rechner der Schule, erreichbar unter ${address}, und auf keinem anderen.`,
    onDevice:
      'Auf dem Gerät des Kindes: eine Antwort, die gerade geschrieben wird oder noch nicht gesendet werden konnte, bis sie gesendet ist, und ein Merkmal, an dem der Rechner der Schule das Gerät wiedererkennt.',
    howLong: 'Wie lange',
    days: (days) =>
      days === null
        ? 'Antworten bleiben, bis die Lehrkraft sie löscht.'
        : `Antworten werden ${days} Tage nach ihrer Stunde von selbst gelöscht.`,
    leavers: 'Ein Kind kann jederzeit mit allem gelöscht werden.',
    backups: (most, sealed) =>
      `Jeden Tag macht die Schule eine Kopie, damit nichts verloren geht, wenn der Rechner ausfällt${sealed ? ', mit einem Kennwort verschlossen' : ''}. Die neuesten ${most} bleiben: Was gelöscht wird, ist spätestens nach ${most} Tagen aus allen verschwunden, oder sobald die Schule die älteren löscht.`,
    noBackups: 'Das Programm selbst macht keine Kopien.',
    who: 'Wer es sieht',
    whoIs: [
      'Die Lehrkraft der Klasse. Andere Lehrkräfte der Schule nicht, und andere Kinder sehen keine Antwort mit Namen.',
      'Wer sich um den Rechner der Schule kümmert, kann seine Dateien lesen.',
    ],
    ask: 'Worum Sie bitten können',
    askIs:
      'Alles zu sehen, was über Ihr Kind gespeichert ist, es als Datei zu bekommen, es berichtigen und es löschen zu lassen. Fragen Sie die Lehrkraft.',
    law: 'Was über Kinder gespeichert werden darf, und wie lange, entscheiden die Regeln der Schule und das Gesetz, nicht dieses Programm.',
    signature: 'Schule, Ort, Datum',
  },
};

const TEXTS: Readonly<Record<Tongue, FamilyTexts>> = { en, de };

export const familyTextsOf = (tongue: Tongue): FamilyTexts => TEXTS[tongue];

const DAYS = {
  en: new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }),
  de: new Intl.DateTimeFormat('de', { dateStyle: 'long' }),
} as const satisfies Record<Tongue, Intl.DateTimeFormat>;
const CLOCKS = {
  en: new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' }),
  de: new Intl.DateTimeFormat('de', { timeStyle: 'short' }),
} as const satisfies Record<Tongue, Intl.DateTimeFormat>;

/** "2 December 2026", where whoever prints it is. @param moment ISO 8601 */
export const dayIn = (moment: string, tongue: Tongue): string => DAYS[tongue].format(new Date(moment));
/** "08:52", where whoever prints it is. @param moment ISO 8601 */
export const clockIn = (moment: string, tongue: Tongue): string => CLOCKS[tongue].format(new Date(moment));
