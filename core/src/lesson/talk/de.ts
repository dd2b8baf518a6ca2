import { placeOfHand } from '../../dial/describe-pose.js';
import { hour12, minuteOfHour, nextHour12 } from '../../time/second-of-day.js';
import { say } from '../../words/say.js';
import { CLOSE_MIN, countedTo, sentence, type Talk } from './talk.js';

const PART_OF_THE_WAY: Readonly<Record<number, string>> = {
  15: ', ein Viertel der Runde',
  30: ', halb herum',
  45: ', drei Viertel der Runde',
};

export const german: Talk = {
  look: 'Wie spät ist es?',
  tells: { hour: 'Der kurze Zeiger zeigt die Stunde.', minute: 'Der lange Zeiger zeigt die Minuten.' },
  where(deg) {
    const { how, numeral } = placeOfHand(deg);
    const next = (numeral % 12) + 1;
    return {
      at: `auf der ${numeral}`,
      past: `kurz nach der ${numeral}`,
      almost: `fast auf der ${numeral}`,
      between: `zwischen ${numeral} und ${next}`,
    }[how];
  },
  shortHour(at, rule) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    if (minute === 0) return `Er steht auf der ${hour}: Stunde ${hour}.`;
    if (rule === 'step-back') return `Geh zurück zur Zahl davor: ${hour}.`;
    if (rule === 'zone') return `Er steht im Feld der ${hour}: ${hour}.`;
    if (minute <= CLOSE_MIN) return `Er ist gerade an der ${hour} vorbei: ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `Er ist fast bei der ${next}, aber noch nicht da: noch ${hour}.`;
    return hour === 12 ? 'Nach der 12 kommt die 1: noch 12.' : `Er ist hinter der ${hour}, vor der ${next}: ${hour}.`;
  },
  hourReason(at, rule) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    if (minute === 0) return `Der kurze Zeiger steht auf der ${hour}: Die Stunde ist ${hour}.`;
    const next = nextHour12(hour);
    const after = hour === 12 ? ' Nach der 12 kommt wieder die 1.' : '';
    const isAlmost = minute >= 60 - CLOSE_MIN;
    const where = isAlmost
      ? `Der kurze Zeiger ist fast bei der ${next}, aber noch nicht da`
      : minute <= CLOSE_MIN
        ? `Der kurze Zeiger ist gerade an der ${hour} vorbei`
        : `Der kurze Zeiger ist an der ${hour} vorbei, noch nicht bei der ${next}`;
    const sentences = {
      passed: `${where}: Die Stunde ist ${isAlmost ? 'noch ' : ''}${hour}.`,
      'step-back': `${isAlmost ? `Der kurze Zeiger ist fast bei der ${next}. ` : ''}Geh vom kurzen Zeiger zurück zur Zahl davor: Die Stunde ist ${hour}.`,
      zone: `Der kurze Zeiger steht im Feld der ${hour}, von der ${hour} bis zur ${next}: Die Stunde ist ${hour}.`,
    };
    return sentences[rule] + after;
  },
  shortMinutes(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'Er steht auf der 12: keine Minuten, 00.';
    if (minute === 1) return 'Ein Strich nach der 12: eine Minute.';
    if (minute < 5) return `Strich für Strich von der 12: ${countedTo(minute, 'und')}.`;
    if (minute === 5) return 'Von der 12 bis zur 1: 5.';
    const part = { 15: ': eine Viertelrunde', 30: ': halb herum' }[minute] ?? '';
    return `${countedTo(minute, 'und')}${part}.`;
  },
  minuteReason(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'Der lange Zeiger steht auf der 12: noch keine Minuten, 00.';
    if (minute === 1) return 'Der lange Zeiger steht einen Strich nach der 12: eine Minute.';
    if (minute < 5) return `Strich für Strich von der 12: ${countedTo(minute, 'und')} Minuten.`;
    if (minute === 5) return 'Von der 12 bis zur 1: 5 Minuten.';
    const half = minute === 30 ? `: auf halbem Weg zur ${nextHour12(hour12(at))}` : '';
    return `In Fünfern von der 12: ${countedTo(minute, 'und')} Minuten${PART_OF_THE_WAY[minute] ?? ''}${half}.`;
  },
  left(at) {
    const left = 60 - minuteOfHour(at);
    const span = left === 15 ? 'ein Viertel' : left === 1 ? 'eine Minute' : `${left} Minuten`;
    return `Noch ${span} bis ${nextHour12(hour12(at))} Uhr.`;
  },
  wordings(at, pack) {
    const minute = minuteOfHour(at);
    const [taught, ...others] = say(at, pack, 'past-to');
    const regional = [...others, ...say(at, pack, 'coming-quarters')];
    const next = nextHour12(hour12(at));
    const half = `halb ${pack.numbers[next]!}`;
    const saidFromHalf = minute !== 30 && taught!.includes('halb');
    const why = minute === 30 ? `: auf halbem Weg zur ${next}` : '';
    const where = saidFromHalf ? ` ${sentence(`${half}: bei der 6`)}` : '';
    const more = regional.length > 0 ? ` Andere sagen ${regional.join(' oder ')}.` : '';
    return `${sentence(`${taught!}${why}`)}${where}${more}`;
  },
  board: {
    hand: (where) => `Kurzer Zeiger: ${where}.`,
    hour: (hour) => `Die Stunde ist ${hour}.`,
    longHand: 'Langer Zeiger: die Minuten.',
    noMinutes: 'Noch keine Minuten: 00.',
    left: (at) => `Noch ${60 - minuteOfHour(at)} bis ${nextHour12(hour12(at))}.`,
  },
  whichHour: {
    passed: 'An welcher Zahl ist er vorbei?',
    'step-back': 'Welche Zahl kommt davor?',
    zone: 'Im Feld welcher Zahl steht er?',
  },
  whichNumeral: 'Auf welcher Zahl steht er?',
  itIs: (time) => `Es ist ${time}${/^\d/.test(time) ? ' Uhr' : ''}.`,
};
