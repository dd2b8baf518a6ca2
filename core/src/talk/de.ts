import { placeOfHand } from '../dial/describe-pose.js';
import { gearedPose, turnDeg } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { bestWording, say } from '../words/say.js';
import { CLOSE_MIN, countedTo, handsTogether, partOfHour, SEEMS_NEXT_MIN, sentence, type Talk } from './talk.js';

/** How far round the long hand is where that has a name. */
const SHORT_PART: Readonly<Record<number, string>> = { 15: 'ein Viertel', 30: 'halb', 45: 'drei Viertel' };

export const german: Talk = {
  look: 'Wie spät ist es?',
  lookAt(at) {
    if (hour12(at) === 12 && minuteOfHour(at) === 0) return 'Beide Zeiger zeigen nach oben.';
    return handsTogether(at) ? 'Die Zeiger stehen dicht beieinander.' : 'Wie spät ist es?';
  },
  setTo: (given) => `Stell die Uhr auf ${given}.`,
  means(at, pack) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    const taught = bestWording(at, pack);
    const said = sentence(taught).slice(0, -1);
    if (minute === 0) return `${said}: genau ${hour}, und keine Minuten.`;
    if (minute === 30) return `${said}: Die Hälfte auf dem Weg von der ${hour} zur ${next}.`;
    const fromHalf = taught.includes('halb');
    const count = fromHalf ? Math.abs(minute - 30) : minute < 30 ? minute : 60 - minute;
    const counted = count === 1 ? 'eine Minute' : `${count} Minuten`;
    if (fromHalf) return `${said}: ${counted} ${minute < 30 ? 'vor' : 'nach'} ${hour}:30.`;
    return minute < 30
      ? `${said}: ${counted} nach ${hour}.`
      : `${said}: Es ${count === 1 ? 'fehlt' : 'fehlen'} ${counted} bis ${next}, also ist die Stunde noch ${hour}.`;
  },
  startAt: (at) => `Fang bei ${hour12(at)} Uhr an.`,
  putHour(at) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    if (minute === 0) return `Der kurze Zeiger steht genau auf der ${hour}.`;
    if (minute === 30) return `Der kurze Zeiger steht in der Mitte zwischen ${hour} und ${next}.`;
    if (minute <= CLOSE_MIN) return `Der kurze Zeiger ist gerade an der ${hour} vorbei.`;
    if (minute >= 60 - CLOSE_MIN) return `Der kurze Zeiger ist fast bei der ${next}, aber noch nicht da.`;
    return `Der kurze Zeiger steht zwischen ${hour} und ${next}, näher bei der ${minute < 30 ? hour : next}.`;
  },
  putMinute(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'Keine Minuten: Der lange Zeiger steht auf der 12.';
    const [numeral, ticks] = [Math.floor(minute / 5) || 12, minute % 5];
    const part = SHORT_PART[minute];
    if (part) return `${sentence(part).slice(0, -1)} herum: Der lange Zeiger steht auf der ${numeral}.`;
    const counted = `Zähle ${minute < 5 ? 'die Striche' : 'in Fünferschritten'}: ${countedTo(minute, ' und')}.`;
    if (ticks === 0) return `${counted} Der lange Zeiger steht auf der ${numeral}.`;
    return `${counted} Der lange Zeiger steht ${ticks === 1 ? 'einen Strich' : `${ticks} Striche`} nach der ${numeral}.`;
  },
  isSet: (at) => `Und der kurze? ${german.putHour(at)}`,
  stopHere: 'Halte hier an und denk nach.',
  chapters: {
    beginning: 'Anfang',
    watch: 'Schau zu',
    turn: (from, to) => `Du bist dran: ${from === to ? `Frage ${from}` : `Fragen ${from} bis ${to}`}`,
    end: 'Schluss',
  },
  noPrinter: 'Kein Drucker?',
  oneHand: {
    hour(at) {
      const [hour, next] = [hour12(at), nextHour12(hour12(at))];
      return {
        at: `Der kurze Zeiger steht auf der ${hour}: ${hour} Uhr.`,
        'just-past': `Kurz nach der ${hour}: ein paar Minuten nach ${hour}.`,
        'a-little': `Ein Stückchen nach der ${hour}: fünf oder zehn nach ${hour}.`,
        quarter: `Ein Viertel auf dem Weg zur ${next}: ungefähr Viertel nach ${hour}.`,
        half: `In der Mitte zwischen ${hour} und ${next}: ungefähr ${hour}:30.`,
        'three-quarters': `Drei Viertel auf dem Weg zur ${next}: ungefähr Viertel vor ${next}.`,
        close: `Nah an der ${next}: fünf oder zehn vor ${next}.`,
        almost: `Fast bei der ${next}: ein paar Minuten vor ${next}.`,
      }[partOfHour(minuteOfHour(at))];
    },
    minute(at) {
      const minute = minuteOfHour(at);
      if (minute === 0) return 'Der lange Zeiger allein sagt: eine volle Stunde. Aber welche? Zwölf Zeiten sind möglich.';
      const counted = minute === 1 ? 'eine Minute' : `${minute} Minuten`;
      return `Der lange Zeiger allein sagt: ${counted}. Aber nach welcher Stunde? Zwölf Zeiten sind möglich.`;
    },
    ask: {
      hour: 'Nur der kurze Zeiger. Wie spät ist es ungefähr, und woran siehst du das?',
      minute: 'Nur der lange Zeiger. Was wissen wir, und was nicht?',
    },
    both: (words) => `Hier sind beide Zeiger: ${words}.`,
  },
  possible: {
    ask: 'Kann eine Uhr so aussehen?',
    verdict(pose) {
      const { possible, nearest } = reportPose(pose);
      const [hour, minute] = [hour12(nearest), minuteOfHour(nearest)];
      if (possible) return `Das kann sein: Es ist ${hour}:${String(minute).padStart(2, '0')} Uhr.`;
      const hasGoneOn = turnDeg(gearedPose(nearest).hourDeg, pose.hourDeg) > 0;
      return `Das kann nicht sein: ${german.putHour(nearest).slice(0, -1)}, wenn der lange so steht; hier ist er ${hasGoneOn ? 'weiter' : 'noch nicht so weit'}.`;
    },
    moved: 'Die Zeiger passen zusammen.',
    mended: 'So passen die Zeiger zusammen.',
  },
  mistake: {
    wrote: (reading) => `Jemand schrieb ${reading}.`,
    how: (reading) => `Jemand schrieb ${reading}. Wie kann das gekommen sein?`,
  },
  howCouldSomebody: 'Wie könnte jemand darauf kommen?',
  cards: { number: (card) => `Karte ${card}`, guess: 'Was kommt als Nächstes? Rate, bevor sie gezeigt wird.' },
  criteria: {
    order: {
      'hour-first': 'Ich schaue zuerst auf den kurzen Zeiger, dann auf den langen.',
      'minute-first': 'Ich schaue zuerst auf den langen Zeiger, dann auf den kurzen.',
    },
    between: {
      passed: 'Die Stunde ist die Zahl, an der der kurze Zeiger vorbei ist.',
      'step-back': 'Zwischen zwei Zahlen gehe ich zu der davor zurück.',
      zone: 'Die Stunde ist das Feld, in dem der kurze Zeiger steht.',
    },
  },
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
    if (minute === 0) return `Er steht auf der ${hour}: Die Stunde ist ${hour}.`;
    if (rule === 'step-back') return `Geh zurück zur Zahl davor: Das ist die ${hour}.`;
    if (rule === 'zone') return `Er steht im Feld der ${hour}, also ist die Stunde ${hour}.`;
    if (minute <= CLOSE_MIN) return `Er ist gerade an der ${hour} vorbei: Die Stunde ist ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `Er ist fast bei der ${next}, aber noch nicht da: Die Stunde ist noch ${hour}.`;
    if (minute >= SEEMS_NEXT_MIN) return `Nah an der ${next}, aber noch nicht da: Die Stunde ist noch ${hour}.`;
    return hour === 12
      ? 'Er ist an der 12 vorbei, danach kommt die 1: Die Stunde ist 12.'
      : `Er ist an der ${hour} vorbei, noch nicht bei der ${next}: Die Stunde ist ${hour}.`;
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
    const written = minute < 10 ? `, geschrieben 0${minute}` : '';
    if (minute === 1) return `Ein Strich nach der 12: eine Minute${written}.`;
    if (minute < 5) return `Strich für Strich von der 12: ${countedTo(minute, ' und')}${written}.`;
    if (minute === 5) return `Von der 12 bis zur 1: 5${written}.`;
    const part = SHORT_PART[minute];
    if (part) return `${sentence(part).slice(0, -1)} herum, auf der ${minute / 5}: ${minute}.`;
    return `${countedTo(minute, ' und')}${written}.`;
  },
  minuteReason(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'Der lange Zeiger steht auf der 12: noch keine Minuten, 00.';
    if (minute === 1) return 'Der lange Zeiger steht einen Strich nach der 12: eine Minute.';
    if (minute < 5) return `Strich für Strich von der 12: ${countedTo(minute, ' und')} Minuten.`;
    if (minute === 5) return 'Von der 12 bis zur 1: 5 Minuten.';
    const half = minute === 30 ? `, auf halbem Weg zur ${nextHour12(hour12(at))}` : '';
    const part = SHORT_PART[minute];
    if (part) return `Der lange Zeiger steht auf der ${minute / 5}, ${part} herum: ${minute} Minuten${half}.`;
    return `In Fünferschritten von der 12: ${countedTo(minute, ' und')} Minuten.`;
  },
  left(at) {
    const left = 60 - minuteOfHour(at);
    const span = left === 15 ? 'eine Viertelstunde' : left === 1 ? 'eine Minute' : `${left} Minuten`;
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
    const where = saidFromHalf ? ` Bei der 6 ist es ${half}.` : '';
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
