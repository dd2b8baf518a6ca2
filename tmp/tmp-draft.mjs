// core/src/errors.ts
var CoreError = class extends Error {
  constructor(code, message) {
    super(message);
    this.code = code;
  }
  code;
  name = "CoreError";
};

// core/src/time/second-of-day.ts
var SECONDS_PER_DAY = 86400;
var SECONDS_PER_HALF_DAY = 43200;
function secondOfDay(hour242, minute) {
  if (!Number.isInteger(hour242) || hour242 < 0 || hour242 > 23) {
    throw new CoreError("TIME_HOUR_RANGE", `An hour must be a whole number from 0 to 23, but ${hour242} came.`);
  }
  if (!Number.isInteger(minute) || minute < 0 || minute > 59) {
    throw new CoreError("TIME_MINUTE_RANGE", `A minute must be a whole number from 0 to 59, but ${minute} came.`);
  }
  return hour242 * 3600 + minute * 60;
}
function toSecondOfDay(raw) {
  if (!Number.isInteger(raw) || raw < 0 || raw >= SECONDS_PER_DAY) {
    throw new CoreError("TIME_SECOND_RANGE", `A time must be a whole second from 0 to 86,399, but ${raw} came.`);
  }
  return raw;
}
function wrapSecondOfDay(seconds) {
  const whole = Math.round(seconds);
  return (whole % SECONDS_PER_DAY + SECONDS_PER_DAY) % SECONDS_PER_DAY;
}
function hour12(at3) {
  return onDial(hour24(at3));
}
function onDial(hour) {
  return hour % 12 || 12;
}
function hour24(at3) {
  return Math.floor(at3 / 3600);
}
function minuteOfHour(at3) {
  return Math.floor(at3 / 60) % 60;
}
function secondOfMinute(at3) {
  return at3 % 60;
}
function nextHour12(hour) {
  return hour % 12 + 1;
}
function previousHour12(hour) {
  return (hour + 10) % 12 + 1;
}

// core/src/ladder/rung.ts
function timeOnRung(rung, rng) {
  const minute = rung.minutes[Math.floor(rng() * rung.minutes.length)];
  return secondOfDay(Math.floor(rng() * 24), minute);
}

// core/src/ladder/rungs/any-minute.ts
var anyMinute = {
  name: "Any minute",
  after: "five-minutes",
  minutes: [
    0,
    1,
    2,
    3,
    4,
    5,
    6,
    7,
    8,
    9,
    10,
    11,
    12,
    13,
    14,
    15,
    16,
    17,
    18,
    19,
    20,
    21,
    22,
    23,
    24,
    25,
    26,
    27,
    28,
    29,
    30,
    31,
    32,
    33,
    34,
    35,
    36,
    37,
    38,
    39,
    40,
    41,
    42,
    43,
    44,
    45,
    46,
    47,
    48,
    49,
    50,
    51,
    52,
    53,
    54,
    55,
    56,
    57,
    58,
    59
  ],
  newMinutes: [1, 4, 7, 12, 18, 23, 29, 32, 36, 41, 47, 52, 58, 59],
  topic: { en: "any minute", de: "jede Minute" },
  criteria: {
    en: ["I count in fives to the last numeral, and then tick by tick.", "I write the minutes with two digits."],
    de: ["Ich z\xE4hle in F\xFCnfern bis zur letzten Zahl und dann Strich f\xFCr Strich.", "Ich schreibe die Minuten mit zwei Ziffern."]
  },
  misconceptions: ["numeral-as-minutes", "zero-dropped", "nearest-hour", "hands-exchanged"],
  tricky: [
    { hour: 5, minute: 27, why: "the hands nearly coincide" },
    { hour: 12, minute: 4, why: "one digit of minutes, between 12 and 1" },
    { hour: 2, minute: 58, why: "the short hand seems to be at the next numeral" }
  ]
};

// core/src/ladder/rungs/five-minutes.ts
var fiveMinutes = {
  name: "Five-minute steps",
  after: "quarter-to",
  minutes: [0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55],
  newMinutes: [5, 10, 20, 25, 35, 40, 50, 55],
  topic: { en: "five-minute steps", de: "F\xFCnf-Minuten-Schritte" },
  criteria: {
    en: [
      "I count in fives from the 12 to the long hand.",
      "I write the minutes with two digits: 05.",
      "Past the half I also say how many minutes are left."
    ],
    de: [
      "Ich z\xE4hle in F\xFCnfern von der 12 bis zum langen Zeiger.",
      "Ich schreibe die Minuten mit zwei Ziffern: 05.",
      "Nach der H\xE4lfte sage ich auch, wie viele Minuten fehlen."
    ]
  },
  misconceptions: ["numeral-as-minutes", "zero-dropped", "nearest-hour"],
  tricky: [
    { hour: 4, minute: 20, why: "the hands nearly coincide" },
    { hour: 12, minute: 5, why: "one digit of minutes, between 12 and 1" },
    { hour: 10, minute: 50, why: "the short hand seems to be at the next numeral" }
  ]
};

// core/src/ladder/rungs/half-past.ts
var halfPast = {
  name: "Half past",
  after: "whole-hours",
  minutes: [0, 30],
  newMinutes: [30],
  topic: { en: "half past", de: "halbe Stunden" },
  criteria: {
    en: ["The long hand on 6 means half past: 30 minutes.", "The short hand stands half way to the next numeral."],
    de: ["Der lange Zeiger auf der 6 hei\xDFt halb: 30 Minuten.", "Der kurze Zeiger steht auf halbem Weg zur n\xE4chsten Zahl."]
  },
  misconceptions: ["nearest-hour", "coming-hour", "half-of-coming-hour", "hour-hand-on-numeral"],
  tricky: [
    { hour: 12, minute: 30, why: "between 12 and 1" },
    { hour: 6, minute: 30, why: "the hands are close together" }
  ]
};

// core/src/ladder/rungs/quarter-past.ts
var quarterPast = {
  name: "Quarter past",
  after: "half-past",
  minutes: [0, 15, 30],
  newMinutes: [15],
  topic: { en: "quarter past", de: "Viertel nach" },
  criteria: {
    en: ["The long hand on 3 means quarter past: 15 minutes.", "The short hand has just left its numeral."],
    de: ["Der lange Zeiger auf der 3 hei\xDFt Viertel nach: 15 Minuten.", "Der kurze Zeiger hat seine Zahl gerade verlassen."]
  },
  misconceptions: ["numeral-as-minutes", "coming-hour", "hour-hand-on-numeral"],
  tricky: [
    { hour: 3, minute: 15, why: "the hands nearly coincide" },
    { hour: 12, minute: 15, why: "between 12 and 1" }
  ]
};

// core/src/ladder/rungs/quarter-to.ts
var quarterTo = {
  name: "Quarter to",
  after: "quarter-past",
  minutes: [0, 15, 30, 45],
  newMinutes: [45],
  topic: { en: "quarter to", de: "Viertel vor" },
  criteria: {
    en: ["The long hand on 9 means quarter to: 15 minutes are left.", "The short hand is nearly at the coming hour, but not there yet."],
    de: [
      "Der lange Zeiger auf der 9 hei\xDFt Viertel vor: Es fehlen 15 Minuten.",
      "Der kurze Zeiger ist fast bei der n\xE4chsten Stunde, aber noch nicht da."
    ]
  },
  misconceptions: ["nearest-hour", "coming-hour", "numeral-as-minutes"],
  tricky: [
    { hour: 8, minute: 45, why: "the hands nearly coincide" },
    { hour: 12, minute: 45, why: "between 12 and 1" }
  ]
};

// core/src/ladder/rungs/whole-hours.ts
var wholeHours = {
  name: "Whole hours",
  after: null,
  minutes: [0],
  newMinutes: [0],
  topic: { en: "whole hours", de: "volle Stunden" },
  criteria: {
    en: ["The long hand on 12 means o\u2019clock.", "The short hand points at the hour."],
    de: ["Der lange Zeiger auf der 12 hei\xDFt: volle Stunde.", "Der kurze Zeiger steht auf der Stunde."]
  },
  misconceptions: ["hands-exchanged", "sixty-at-top"],
  tricky: [
    { hour: 12, minute: 0, why: "both hands up" },
    { hour: 6, minute: 0, why: "the hands make one line" }
  ]
};

// core/src/ladder/registry.ts
var RUNGS = {
  "whole-hours": wholeHours,
  "half-past": halfPast,
  "quarter-past": quarterPast,
  "quarter-to": quarterTo,
  "five-minutes": fiveMinutes,
  "any-minute": anyMinute
};
var RUNG_IDS = Object.keys(RUNGS);

// core/src/time/display.ts
function minuteDigits(minute) {
  return String(minute).padStart(2, "0");
}
function displayText(at3, separator = ":") {
  return `${hour12(at3)}${separator}${minuteDigits(minuteOfHour(at3))}`;
}
function displayText24(at3, separator = ":") {
  return `${String(hour24(at3)).padStart(2, "0")}${separator}${minuteDigits(minuteOfHour(at3))}`;
}

// core/src/acts/typed-time.ts
function typedTime(at3) {
  return { hour: String(hour12(at3)), minute: minuteDigits(minuteOfHour(at3)) };
}
function timeTyped({ hour, minute }) {
  if (!/^\d{1,2}$/.test(hour) || !/^\d{1,2}$/.test(minute) || Number(hour) > 23 || Number(minute) > 59) return null;
  return wrapSecondOfDay(Number(hour) % 12 * 3600 + Number(minute) * 60);
}
function sameTyped(a, b) {
  return a.hour === b.hour && a.minute === b.minute;
}

// core/src/dial/pose.ts
function wrapDeg(deg) {
  const wrapped = deg % 360;
  return wrapped < 0 ? (wrapped + 360) % 360 : wrapped + 0;
}
function turnDeg(fromDeg, toDeg) {
  const turn = wrapDeg(toDeg - fromDeg);
  return turn > 180 ? turn - 360 : turn;
}
function hourHandDeg(at3) {
  return at3 % 43200 / 120;
}
function minuteHandDeg(at3) {
  return at3 % 3600 / 10;
}
function gearedPose(at3) {
  return { hourDeg: hourHandDeg(at3), minuteDeg: minuteHandDeg(at3) };
}

// core/src/dial/coherence.ts
function coherenceOf(pose) {
  const minute = wrapDeg(pose.minuteDeg) / 6;
  const implied = 2 * (wrapDeg(pose.hourDeg) % 30);
  const gap = ((minute - implied) % 60 + 60) % 60;
  const withinHourDeg = wrapDeg(pose.minuteDeg) / 12;
  const hour = (Math.round((pose.hourDeg - withinHourDeg) / 30) % 12 + 12) % 12;
  return {
    gapMin: gap > 30 ? gap - 60 : gap,
    residualDeg: Math.abs(turnDeg(30 * hour + withinHourDeg, pose.hourDeg)),
    hour: hour || 12,
    minute
  };
}
var STRICTNESS = {
  /** On the right hour's side: between its numeral and the next, and nearer to its place than to any other hour's. */
  "right-side": 12,
  /** In proportion to the minutes. */
  proportion: 8,
  exact: 3
};

// core/src/dial/nearest-time.ts
function nearestTime(pose) {
  const { hour, minute } = coherenceOf(pose);
  return wrapSecondOfDay(hour % 12 * 3600 + Math.round(minute) * 60);
}

// core/src/words/fold.ts
function fold(text, pack) {
  return pack.folds.reduce((folded, [from, to]) => folded.replaceAll(from, to), text);
}

// core/src/words/day-part.ts
function takeDayPart(words, pack) {
  const parts = Object.fromEntries(Object.entries(pack.dayParts).map(([word, part2]) => [fold(word, pack), part2]));
  let part = null;
  const rest = [];
  for (const word of words) {
    if (Object.hasOwn(parts, word) && part === null && rest.length > 0) part = parts[word];
    else if (!pack.fillers.includes(word)) rest.push(word);
  }
  return { rest, part };
}
function inDayPart(heard, part) {
  if (part === null) return heard;
  const minuteOfDay = inPart(heard.minuteOfDay % 720, part);
  return heard.halfKnown && minuteOfDay !== heard.minuteOfDay ? { kind: "unreadable" } : { ...heard, minuteOfDay, halfKnown: true };
}
function inPart(minuteOf12, part) {
  const pm = part === "pm" || part === "night" && minuteOf12 >= 360;
  return minuteOf12 + (pm ? 720 : 0);
}

// core/src/words/hear-display.ts
var HALF = "(?:\\s*([ap])\\.?\\s*m\\.?)?";
var BETWEEN = "(?:\\s*([-:.;,])\\2?\\s*|\\s+)";
var SEPARATED = new RegExp(`^(\\d{1,2})${BETWEEN}(\\d{1,2})${HALF}$`);
var TOGETHER = new RegExp(`^(\\d{1,2})()(\\d{2})${HALF}$`);
function hearDisplay(text) {
  const match = SEPARATED.exec(text) ?? TOGETHER.exec(text);
  if (!match) return null;
  const [, hourText, , minuteText, half] = match;
  const hour = Number(hourText);
  const minute = Number(minuteText);
  if (hour > 23 || minute > 60 || half === "a" && hour > 12 || half !== void 0 && hour === 0) return { kind: "unreadable" };
  const misconception = minute === 60 ? "sixty-at-top" : minuteText.length === 1 ? "zero-dropped" : null;
  const is24 = hour > 12 || hour === 0 || half !== void 0;
  const hour242 = half === void 0 || hour > 12 ? hour : hour % 12 + (half === "p" ? 12 : 0);
  const total = (is24 ? hour242 : hour % 12) * 60 + minute;
  return { kind: "time", minuteOfDay: total % (is24 ? 1440 : 720), halfKnown: is24, form: "display", slips: 0, misconception };
}

// core/src/words/letters.ts
function slipsBetween(a, b) {
  const rows = [Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(rows[i - 1][j] + 1, row[j - 1] + 1, rows[i - 1][j - 1] + (same ? 0 : 1));
      const exchanged2 = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      if (exchanged2) best = Math.min(best, rows[i - 2][j - 2] + 1);
      row.push(best);
    }
    rows.push(row);
  }
  return rows[a.length][b.length];
}
function slipsAllowed(length) {
  return length < 4 ? 0 : length < 6 ? 1 : 2;
}

// core/src/words/word-readings.ts
var MISPUT_OCLOCK = / ?(?<![a-z])(?!o'clock)[oa0][',.-]? ?[',-]?c'?l?'?o'?(ck|k|c)(?![a-z])/g;
function wordsOf(text) {
  return text.replace(MISPUT_OCLOCK, " oclock").replace(/(\d)(?=[^\d\s])/g, "$1 ").replace(/([a-zäöüß]{2,})(?=\d)/g, "$1 ").replace(/\b([ap])\.? ?m\.?(?=\s|$)/g, "$1m").replace(/[-,.]/g, " ").split(" ").filter(Boolean);
}
function readingsIn(typed, pack) {
  const readings = readingsOf(typed, pack);
  if (readings.length > 0) return [readings];
  const words = wholeWordsIn(typed, pack) ?? [];
  const lastPlace = words.length - 1;
  return words.map(
    (word, place) => readingsOf(word, pack).map((reading) => place < lastPlace ? { ...reading, slips: reading.slips + 1 } : reading)
  );
}
function wholeWordsIn(typed, pack) {
  if (isWhole(typed, pack)) return [typed];
  if (readingsOf(typed, pack).length > 0 || Object.hasOwn(pack.dayParts, typed) || pack.fillers.includes(typed)) return null;
  for (let cut = typed.length - 2; cut >= 2; cut--) {
    const others = isWhole(typed.slice(0, cut), pack) ? wholeWordsIn(typed.slice(cut), pack) : null;
    if (others) return [typed.slice(0, cut), ...others];
  }
  return null;
}
function isWhole(word, pack) {
  const { words, numbers, slips } = tableOf(pack);
  const isSlip = word.length >= 4 && slips.some(([written]) => written === word);
  return isSlip || words.some(([written]) => written === word) || numbers.some(([written]) => written === word);
}
var tables = /* @__PURE__ */ new WeakMap();
function tableOf(pack) {
  const known = tables.get(pack);
  if (known) return known;
  const entries = Object.entries(pack.lexicon);
  const table = {
    words: entries.flatMap(([name, { written }]) => written.map((word) => [fold(word, pack), name])),
    slips: entries.flatMap(([name, { slips = [] }]) => slips.map((word) => [fold(word, pack), name])),
    numbers: pack.numbers.map((word, n) => [fold(word, pack), n])
  };
  tables.set(pack, table);
  return table;
}
function readingsOf(word, pack) {
  const table = tableOf(pack);
  const readings = [];
  if (/^\d{1,2}$/.test(word)) readings.push({ number: Number(word), slips: 0, padded: /^0\d/.test(word) });
  for (const [written, name] of table.words) if (written === word) readings.push({ word: name, slips: 0 });
  for (const [written, n] of table.numbers) if (written === word) readings.push({ number: n, slips: 0 });
  for (const [slip, name] of table.slips) if (slip === word) readings.push({ word: name, slips: 1 });
  if (Object.hasOwn(pack.numberSlips, word)) {
    const number = pack.numberSlips[word];
    const soundsLike = readings.some((reading) => "word" in reading && reading.slips === 0);
    readings.push({
      number,
      slips: [...Object.values(pack.hourForms), ...Object.values(pack.minuteForms)].includes(word) ? 0 : 1,
      soundsLike
    });
  }
  return readings.length > 0 || pack.otherWords.includes(word) ? readings : nearby(word, pack);
}
function nearby(word, pack) {
  const table = tableOf(pack);
  const near = [];
  for (const [written, name] of table.words) near.push({ word: name, slips: limited(word, written) });
  for (const [written, n] of table.numbers) near.push({ number: n, slips: limited(word, written) });
  const least = Math.min(...near.map((one) => one.slips));
  return least === Infinity ? [] : near.filter((one) => one.slips === least);
}
function limited(typed, written) {
  const allowed = slipsAllowed(Math.min(typed.length, written.length));
  if (allowed === 0 || Math.abs(typed.length - written.length) > allowed) return Infinity;
  const slips = slipsBetween(typed, written);
  return slips <= allowed ? slips : Infinity;
}

// core/src/words/hear-words.ts
var NAMED_HOURS = { noon: 720, midnight: 0 };
function hearWords(text, pack) {
  const { rest, part } = takeDayPart(wordsOf(text), pack);
  const perWord = rest.map((word) => readingsIn(word, pack));
  const readings = perWord.flat();
  if (readings.length === 0 || readings.length > 8 || perWord.some((one) => one.length === 0)) return { kind: "unreadable" };
  let best = { kind: "unreadable" };
  for (const way of ways(readings)) {
    const heard = understand(joinNumbers(way), part, pack);
    if (heard.kind === "time" && (best.kind === "unreadable" || heard.slips < best.slips)) best = heard;
  }
  return best;
}
function ways(readings) {
  return readings.reduce((so, options) => so.flatMap((way) => options.map((option) => [...way, option])), [[]]);
}
function joinNumbers(way) {
  const joined = [];
  for (const reading of way) {
    const last = joined.at(-1);
    const tens = last && "number" in last && last.number >= 20 && last.number % 10 === 0;
    if (tens && "number" in reading && reading.number >= 1 && reading.number <= 9) {
      joined[joined.length - 1] = { number: last.number + reading.number, slips: last.slips + reading.slips };
    } else {
      joined.push(reading);
    }
  }
  return joined;
}
function understand(way, part, pack) {
  const slips = way.reduce((sum, one) => sum + one.slips, 0);
  for (const shape of pack.shapes) {
    const fitted2 = fit(way, shape);
    if (!fitted2) continue;
    const { hour, named, minutes } = fitted2;
    const total = (named ?? hour * 60) + (shape.base ?? 0) + (shape.sign ?? 0) * minutes;
    const known = named !== null || hour > 12 || hour === 0;
    const minuteOfDay = known ? wrap(total, 1440) : wrap(total, 720);
    const misconception = shape.misconception ?? null;
    return inDayPart({ kind: "time", minuteOfDay, halfKnown: known, form: "words", slips: slips + (shape.slip ?? 0), misconception }, part);
  }
  const twelve = twelveWith(way, slips, pack);
  if (twelve) return inDayPart(twelve, part);
  const last = way.at(-1);
  const noun = last && "word" in last && way.length > 2 ? pack.displayNouns[last.word] : void 0;
  return noun !== void 0 ? understand([...way.slice(0, -2), oneMoreSlip(way.at(-2))], part, pack) : { kind: "unreadable" };
}
var oneMoreSlip = (reading) => ({ ...reading, slips: reading.slips + 1 });
function twelveWith(way, slips, pack) {
  const [first, ...others] = way;
  const last = others.pop();
  if (!first || !("number" in first) || first.number !== 12 || !last || !("word" in last)) return null;
  if (others.length > 1 || others.some((one) => !("word" in one) || !Object.hasOwn(pack.displayNouns, one.word))) return null;
  const named = NAMED_HOURS[last.word];
  return named === void 0 ? null : { kind: "time", minuteOfDay: named, halfKnown: true, form: "words", slips, misconception: null };
}
var slotsByShape = /* @__PURE__ */ new WeakMap();
function slotsOf(shape) {
  const slots2 = slotsByShape.get(shape) ?? shape.shape.split(" ");
  slotsByShape.set(shape, slots2);
  return slots2;
}
function fit(way, shape) {
  const slots2 = slotsOf(shape);
  if (slots2.length !== way.length) return null;
  const found = { hour: 0, named: null, minutes: 0 };
  const [least, most] = shape.minutes ?? [1, 59];
  for (const [index, slot] of slots2.entries()) {
    const reading = way[index];
    if (slot === "H" && "word" in reading && reading.word in NAMED_HOURS) {
      if (shape.shape === "H" || !shape.shape.includes("oclock")) found.named = NAMED_HOURS[reading.word];
      else return null;
    } else if (slot === "H") {
      if (!("number" in reading) || reading.number > (shape.hours ?? 12) || reading.number === 0 && !shape.hours) return null;
      if (reading.soundsLike && !/[a-z]/.test(shape.shape)) return null;
      found.hour = reading.number;
    } else if (slot === "M") {
      if (!("number" in reading) || reading.number < least || reading.number > most) return null;
      if (reading.soundsLike && !/[a-z]/.test(shape.shape)) return null;
      const padded = reading.padded === true && reading.number < 10;
      if (padded ? shape.misconception : shape.padded) return null;
      found.minutes = reading.number;
    } else if (!("word" in reading) || reading.word !== slot) {
      return null;
    }
  }
  return found;
}
var wrap = (minutes, length) => (minutes % length + length) % length;

// core/src/words/hear-display-in-words.ts
function hearDisplayInWords(text, pack) {
  const { rest, part } = takeDayPart(text.split(" "), pack);
  const name = rest.length > 1 ? nameOf(rest.at(-1), pack) : null;
  const slips = name === null ? void 0 : pack.displayNouns[name];
  const named = name === null ? void 0 : NAMED_HOURS[name];
  const digits = slips === void 0 && named === void 0 ? rest : rest.slice(0, -1);
  const heard = hearDisplay(digits.join(" "));
  if (heard?.kind !== "time") return heard;
  if (named === void 0) return inDayPart({ ...heard, slips: slips ?? 0 }, part);
  const isTwelve = heard.minuteOfDay === 0 && !heard.halfKnown;
  return isTwelve ? inDayPart({ ...heard, minuteOfDay: named, halfKnown: true }, part) : { kind: "unreadable" };
}
function nameOf(typed, pack) {
  const words = wordsOf(typed);
  const [reading, ...others] = words.length === 1 ? readingsOf(words[0], pack) : [];
  return reading && "word" in reading && others.length === 0 ? reading.word : null;
}

// core/src/words/hear.ts
var LONGEST_HEARD = 80;
function withoutOpening(text, { openings }) {
  const opening = openings.find((words) => text.startsWith(`${words} `));
  return opening ? text.slice(opening.length + 1).replace(/^[:,] ?/, "") : text;
}
function hear(text, pack) {
  if (text.length > LONGEST_HEARD) return { kind: "unreadable" };
  const typed = text.normalize("NFKC").toLowerCase().replaceAll("\u2044", "/").replace(/[’‘`´]/g, "'").replace(/\s+/g, " ").replace(/^[ "“”„«([]+|[ "“”»)\].!?]+$/g, "");
  const plain = fold(withoutOpening(typed, pack), pack);
  return hearDisplay(plain) ?? hearDisplayInWords(plain, pack) ?? hearWords(plain, pack);
}

// core/src/words/de.ts
var ONES = "null eins zwei drei vier f\xFCnf sechs sieben acht neun zehn elf zw\xF6lf dreizehn vierzehn f\xFCnfzehn sechzehn siebzehn achtzehn neunzehn".split(
  " "
);
var TENS = ["", "", "zwanzig", "drei\xDFig", "vierzig", "f\xFCnfzig"];
var NUMBERS = Array.from({ length: 60 }, (_, n) => {
  if (n < 20) return ONES[n];
  if (n % 10 === 0) return TENS[n / 10];
  return `${n % 10 === 1 ? "ein" : ONES[n % 10]}und${TENS[Math.floor(n / 10)]}`;
});
var de = {
  id: "de",
  language: "de",
  tongue: "de",
  numbers: NUMBERS,
  hourForms: { 1: "ein" },
  minuteForms: { 1: "eine" },
  minuteWord: ["Minute", "Minuten"],
  rules: [
    { from: 0, to: 0, register: "past-to", template: "{hour} Uhr" },
    { from: 15, to: 15, register: "past-to", template: "Viertel nach {h}" },
    { from: 30, to: 30, register: "past-to", template: "halb {n}" },
    { from: 45, to: 45, register: "past-to", template: "Viertel vor {n}" },
    { from: 1, to: 14, register: "past-to", template: "{m} nach {h}", fives: true },
    { from: 20, to: 20, register: "past-to", template: "{m} nach {h}" },
    { from: 20, to: 29, register: "past-to", template: "{toHalf} vor halb {n}", fives: true },
    { from: 40, to: 40, register: "past-to", template: "{left} vor {n}" },
    { from: 31, to: 40, register: "past-to", template: "{pastHalf} nach halb {n}", fives: true },
    { from: 46, to: 59, register: "past-to", template: "{left} vor {n}", fives: true },
    { from: 1, to: 29, register: "past-to", template: "{mOf} {minutes} nach {h}", fives: false },
    { from: 31, to: 59, register: "past-to", template: "{leftOf} {minutes} vor {n}", fives: false },
    { from: 15, to: 15, register: "coming-quarters", template: "viertel {n}" },
    { from: 45, to: 45, register: "coming-quarters", template: "drei viertel {n}" },
    { from: 1, to: 59, register: "hour-minutes", template: "{hour} Uhr {m}" },
    { from: 0, to: 0, register: "half-day", template: "Mitternacht", only: 0 },
    { from: 0, to: 0, register: "half-day", template: "{h24} Uhr" },
    { from: 1, to: 59, register: "half-day", template: "{h24} Uhr {m}" }
  ],
  lexicon: {
    halb: { written: ["halb"], slips: ["hlab", "halp", "hab"] },
    viertel: { written: ["viertel"], slips: ["firtel", "vietel", "fiertel", "virtel", "vierdel"] },
    dreiviertel: { written: ["dreiviertel"], slips: ["dreifirtel", "dreivirtel"] },
    nach: { written: ["nach"], slips: ["nahc", "nac", "nah"] },
    vor: { written: ["vor"], slips: ["for", "vr", "fohr", "vohr"] },
    uhr: { written: ["uhr"], slips: ["ur", "urh", "uhrr"] },
    minutes: { written: ["minuten", "minute", "min"], slips: ["minutn", "minutten"] },
    noon: { written: ["mittag", "mittags"], slips: ["mitag"] },
    midnight: { written: ["mitternacht"], slips: ["miternacht", "mitternach"] }
  },
  displayNouns: { uhr: 0 },
  numberSlips: { ein: 1, eine: 1, zwo: 2, drai: 3, fir: 4, sex: 6, siben: 7, neuen: 9, zen: 10, zwelf: 12 },
  dayParts: {
    morgens: "am",
    morgen: "am",
    fr\u00FCh: "am",
    vormittags: "am",
    vormittag: "am",
    nachmittags: "pm",
    nachmittag: "pm",
    abends: "pm",
    abend: "pm",
    nachts: "night",
    nacht: "night"
  },
  partAt: [{ fromHour: 0, words: "" }],
  fillers: ["es", "ist", "um", "am", "in", "der"],
  openings: [
    "ich glaube es ist",
    "ich glaube, es ist",
    "ich denke es ist",
    "ich denke, es ist",
    "ich glaube",
    "ich denke",
    "es ist jetzt",
    "jetzt ist es",
    "die uhr zeigt",
    "die uhr sagt",
    "die zeit ist",
    "es ist ungef\xE4hr"
  ],
  otherWords: ["half", "kalb", "wir", "tier", "bier", "hier", "neu", "nein", "auch", "dein", "mein", "sein", "kein", "uhu"],
  shapes: [
    { shape: "H" },
    { shape: "H uhr", hours: 24 },
    { shape: "H uhr M", sign: 1, hours: 23 },
    { shape: "halb H", base: -30 },
    { shape: "viertel nach H", base: 15 },
    { shape: "viertel vor H", base: -15 },
    { shape: "viertel H", base: -45 },
    { shape: "dreiviertel H", base: -15 },
    { shape: "M nach H", sign: 1 },
    { shape: "M minutes nach H", sign: 1 },
    { shape: "M vor H", sign: -1 },
    { shape: "M minutes vor H", sign: -1 },
    { shape: "M vor halb H", base: -30, sign: -1 },
    { shape: "M nach halb H", base: -30, sign: 1 },
    { shape: "M minutes vor halb H", base: -30, sign: -1 },
    { shape: "M minutes nach halb H", base: -30, sign: 1 }
  ],
  folds: [
    ["\xFC", "ue"],
    ["\xF6", "oe"],
    ["\xE4", "ae"],
    ["\xDF", "ss"],
    ["1/2", "halb"],
    ["1/4", "viertel"],
    ["3/4", "dreiviertel"],
    ["drei viertel", "dreiviertel"],
    ["ein viertel", "viertel"],
    [" und ", "und"]
  ]
};

// core/src/words/en.ts
var ONES2 = "zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen".split(
  " "
);
var TENS2 = ["", "", "twenty", "thirty", "forty", "fifty"];
var NUMBERS2 = Array.from({ length: 60 }, (_, n) => {
  if (n < 20) return ONES2[n];
  return n % 10 === 0 ? TENS2[n / 10] : `${TENS2[Math.floor(n / 10)]}-${ONES2[n % 10]}`;
});
function pastTo(past, to) {
  return [
    { from: 15, to: 15, register: "past-to", template: `quarter ${past} {h}` },
    { from: 45, to: 45, register: "past-to", template: `quarter ${to} {n}` },
    { from: 1, to: 14, register: "past-to", template: `{m} ${past} {h}`, fives: true },
    { from: 16, to: 29, register: "past-to", template: `{m} ${past} {h}`, fives: true },
    { from: 1, to: 29, register: "past-to", template: `{m} {minutes} ${past} {h}`, fives: false },
    { from: 31, to: 44, register: "past-to", template: `{left} ${to} {n}`, fives: true },
    { from: 46, to: 59, register: "past-to", template: `{left} ${to} {n}`, fives: true },
    { from: 31, to: 59, register: "past-to", template: `{left} {minutes} ${to} {n}`, fives: false }
  ];
}
var SHARED_RULES = [
  { from: 0, to: 0, register: "past-to", template: "{h} o\u2019clock" },
  { from: 30, to: 30, register: "past-to", template: "half past {h}" },
  { from: 1, to: 9, register: "hour-minutes", template: "{h} oh {m}" },
  { from: 10, to: 59, register: "hour-minutes", template: "{h} {m}" },
  { from: 0, to: 0, register: "half-day", template: "midnight", only: 0 },
  { from: 0, to: 0, register: "half-day", template: "noon", only: 720 },
  { from: 0, to: 0, register: "half-day", template: "{h} {part}" },
  { from: 30, to: 30, register: "half-day", template: "half past {h} {part}" },
  { from: 1, to: 9, register: "half-day", template: "{h} oh {m} {part}" },
  { from: 10, to: 59, register: "half-day", template: "{h} {m} {part}" }
];
function shapesOf(pasts, tos) {
  const around = (words, sign) => words.flatMap((word) => [
    { shape: `quarter ${word} H`, base: 15 * sign },
    { shape: `M ${word} H`, sign },
    { shape: `M minutes ${word} H`, sign }
  ]);
  return [
    { shape: "H" },
    { shape: "H oclock" },
    { shape: "half past H", base: 30 },
    { shape: "half H", base: 30 },
    ...pasts.filter((word) => word !== "past").map((word) => ({ shape: `half ${word} H`, base: 30, slip: 1 })),
    ...around(pasts, 1),
    ...around(tos, -1),
    { shape: "H M", sign: 1, minutes: [10, 59] },
    { shape: "H M", sign: 1, minutes: [0, 9], padded: true },
    { shape: "H M", sign: 1, minutes: [1, 9], misconception: "zero-dropped" },
    { shape: "H oh M", sign: 1, minutes: [1, 9] },
    { shape: "H M", sign: 1, minutes: [10, 59], hours: 23 },
    { shape: "H oh M", sign: 1, minutes: [1, 9], hours: 23 }
  ];
}
var LEXICON = {
  half: { written: ["half"], slips: ["harf", "haf", "arf", "hav", "halve"] },
  // As it is heard: sounded out, it may begin with c, k, q or qu and end in a vowel.
  quarter: {
    written: ["quarter"],
    slips: ["c", "k", "q", "qu", "kw", "qw", "cw"].flatMap(
      (start) => ["arter", "ater", "orter", "oter", "arta", "ata", "orta", "ota", "ortr", "artr", "artre", "ort", "awta"].map((end) => start + end).concat("qter")
    )
  },
  past: { written: ["past"], slips: ["passed", "parst", "pased", "pass", "pst", "paste"] },
  to: { written: ["to"], slips: ["too", "two", "2", "tu"] },
  oclock: { written: ["o'clock"], slips: ["oclock", "oclok", "oclick", "aclock", "oklok"] },
  minutes: { written: ["minutes", "minute", "mins", "min"], slips: ["minits", "minit", "minets", "minutse", "minuets"] },
  oh: { written: ["oh", "o"], slips: ["ow", "zero", "0"] },
  noon: { written: ["noon", "midday"], slips: ["nune", "mid-day"] },
  midnight: { written: ["midnight"], slips: ["midnite", "mid-night"] }
};
var NUMBER_SLIPS = {
  for: 4,
  fore: 4,
  fower: 4,
  won: 1,
  wun: 1,
  to: 2,
  too: 2,
  tow: 2,
  tree: 3,
  free: 3,
  fiv: 5,
  sicks: 6,
  sevin: 7,
  ate: 8,
  eigt: 8,
  elevn: 11,
  leven: 11,
  twelv: 12,
  twelf: 12,
  fourty: 40,
  fiveteen: 15,
  twenny: 20
};
var SHARED = {
  numbers: NUMBERS2,
  hourForms: {},
  minuteForms: {},
  minuteWord: ["minute", "minutes"],
  displayNouns: { oclock: 1 },
  numberSlips: NUMBER_SLIPS,
  dayParts: { am: "am", pm: "pm", morning: "am", afternoon: "pm", evening: "pm", night: "night" },
  partAt: [
    { fromHour: 0, words: "at night" },
    { fromHour: 6, words: "in the morning" },
    { fromHour: 12, words: "in the afternoon" },
    { fromHour: 18, words: "in the evening" }
  ],
  fillers: ["a", "an", "the", "in", "at", "it's", "its", "it", "is", "and"],
  openings: [
    "i think the time is",
    "i think it is",
    "i think it's",
    "i think its",
    "i think",
    "the time is now",
    "the time is",
    "the time",
    "time is",
    "it is now",
    "it's now",
    "its now",
    "now it is",
    "now it's",
    "the clock says",
    "the clock shows",
    "my clock says",
    "it says",
    "it shows",
    "my answer is",
    "the answer is",
    "it is about",
    "it's about"
  ],
  otherWords: [
    ..."even none moon soon nein halb boon noun fine line mine wine pine vine dine nice fire live give dive hive file fife".split(" "),
    ..."your hour tour pour sour weight height heaven these hall calf halo last cast fast east post pest minus".split(" ")
  ],
  folds: [
    ["1/2", "half"],
    ["1/4", "quarter"],
    ["mid day", "midday"],
    ["mid night", "midnight"],
    ["a minute", "1 minute"]
  ]
};
var enGB = {
  ...SHARED,
  id: "en-GB",
  language: "en-GB",
  tongue: "en",
  rules: [...SHARED_RULES, ...pastTo("past", "to")].sort(bestFirst),
  lexicon: LEXICON,
  shapes: shapesOf(["past"], ["to"])
};
var enUS = {
  ...SHARED,
  id: "en-US",
  language: "en-US",
  tongue: "en",
  rules: [...SHARED_RULES, ...pastTo("past", "to"), ...pastTo("after", "of")].sort(bestFirst),
  lexicon: {
    ...LEXICON,
    after: { written: ["after"], slips: ["afta", "aftr"] },
    of: { written: ["of"], slips: ["ov", "off"] },
    till: { written: ["till", "til", "'til", "until"], slips: ["tell", "untill", "untell"] },
    before: { written: ["before"], slips: ["befor", "b4"] }
  },
  shapes: shapesOf(["past", "after"], ["to", "of", "till", "before"])
};
function bestFirst(a, b) {
  const rank = { "past-to": 0, "hour-minutes": 1, "coming-quarters": 2, "half-day": 3 };
  return rank[a.register] - rank[b.register];
}

// core/src/words/registry.ts
var WORD_PACKS = { "en-GB": enGB, "en-US": enUS, de };
var WORD_PACK_IDS = Object.keys(WORD_PACKS);

// core/src/words/say.ts
function say(at3, pack, register) {
  const minute = minuteOfHour(at3);
  const words = slots(at3, pack);
  return pack.rules.filter((rule) => minute >= rule.from && minute <= rule.to).filter((rule) => register === void 0 ? rule.register !== "half-day" : rule.register === register).filter((rule) => rule.fives === void 0 || rule.fives === (minute % 5 === 0)).filter((rule) => rule.only === void 0 || rule.only * 60 === at3).map((rule) => rule.template.replace(/\{(\w+)\}/g, (_, slot) => words[slot]).trim());
}
function bestWording(at3, pack) {
  return say(at3, pack)[0];
}
function slots(at3, pack) {
  const minute = minuteOfHour(at3);
  const hour = hour12(at3);
  const left = 60 - minute;
  const number = (n) => pack.numbers[Math.abs(n) % 60];
  const before = (n) => pack.hourForms[n] ?? number(n);
  const part = [...pack.partAt].reverse().find(({ fromHour }) => hour24(at3) >= fromHour);
  const counted = minute > 30 ? left : minute;
  return {
    h: number(hour),
    hour: before(hour),
    n: number(nextHour12(hour)),
    h24: before(hour24(at3)),
    m: number(minute),
    left: number(left),
    mOf: pack.minuteForms[minute] ?? number(minute),
    leftOf: pack.minuteForms[left] ?? number(left),
    toHalf: number(30 - minute),
    pastHalf: number(minute - 30),
    minutes: pack.minuteWord[counted === 1 ? 0 : 1],
    part: part?.words ?? ""
  };
}

// core/src/acts/acts.ts
function rightActs(settings) {
  const pack = WORD_PACKS[settings.pack];
  return {
    read: (pose) => [typedTime(nearestTime(pose))],
    set: (at3) => [gearedPose(at3)],
    mean(words) {
      const heard = hear(words, pack);
      if (heard.kind === "unreadable") return [];
      if (heard.misconception !== null) return [];
      return [typedTime(wrapSecondOfDay(heard.minuteOfDay * 60))];
    },
    word: (at3) => say(at3, pack),
    later: (at3, minutes) => [typedTime(wrapSecondOfDay(at3 + minutes * 60))],
    between: (from, to) => [Math.floor((to - from + SECONDS_PER_DAY) % SECONDS_PER_DAY / 60)],
    to12: (at3) => [typedTime(at3)],
    to24: (at3) => [{ hour: displayText24(at3).slice(0, 2), minute: minuteDigits(Math.floor(at3 / 60) % 60) }]
  };
}

// core/src/dial/describe-pose.ts
var AT_DEG = 0.25;
var CLOSE_DEG = 2.25;
function placeOfHand(deg) {
  const nearest = Math.round(wrapDeg(deg) / 30) % 12 || 12;
  const pastDeg = turnDeg(nearest * 30, deg);
  if (Math.abs(pastDeg) < AT_DEG) return { how: "at", numeral: nearest };
  if (Math.abs(pastDeg) < CLOSE_DEG) return { how: pastDeg > 0 ? "past" : "almost", numeral: nearest };
  return { how: "between", numeral: Math.floor(wrapDeg(deg) / 30) || 12 };
}
function describeHand(deg) {
  const { how, numeral } = placeOfHand(deg);
  return {
    at: `at ${numeral}`,
    past: `just past ${numeral}`,
    almost: `almost at ${numeral}`,
    between: `between ${numeral} and ${numeral % 12 + 1}`
  }[how];
}

// core/src/lesson/talk/talk.ts
var CLOSE_MIN = 4;
function countedTo(minute, and) {
  const fives = Math.floor(minute / 5) * 5;
  const ones = Array.from({ length: minute - fives }, (_, index) => fives + index + 1).join(", ");
  if (fives === 0) return ones;
  const counted = fives <= 20 ? [5, 10, 15, 20].filter((one) => one <= fives).join(", ") : `5, 10, 15 \u2026 ${fives}`;
  return ones ? `${counted}, ${and} ${ones}` : counted;
}
var sentence = (words) => `${words[0].toUpperCase()}${words.slice(1)}.`;

// core/src/lesson/talk/de.ts
var PART_OF_THE_WAY = {
  15: ", ein Viertel der Runde",
  30: ", halb herum",
  45: ", drei Viertel der Runde"
};
var german = {
  look: "Wie sp\xE4t ist es?",
  tells: { hour: "Der kurze Zeiger zeigt die Stunde.", minute: "Der lange Zeiger zeigt die Minuten." },
  where(deg) {
    const { how, numeral } = placeOfHand(deg);
    const next = numeral % 12 + 1;
    return {
      at: `auf der ${numeral}`,
      past: `kurz nach der ${numeral}`,
      almost: `fast auf der ${numeral}`,
      between: `zwischen ${numeral} und ${next}`
    }[how];
  },
  shortHour(at3, rule) {
    const [hour, minute] = [hour12(at3), minuteOfHour(at3)];
    const next = nextHour12(hour);
    if (minute === 0) return `Er steht auf der ${hour}: Stunde ${hour}.`;
    if (rule === "step-back") return `Geh zur\xFCck zur Zahl davor: ${hour}.`;
    if (rule === "zone") return `Er steht im Feld der ${hour}: ${hour}.`;
    if (minute <= CLOSE_MIN) return `Er ist gerade an der ${hour} vorbei: ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `Er ist fast bei der ${next}, aber noch nicht da: noch ${hour}.`;
    return hour === 12 ? "Nach der 12 kommt die 1: noch 12." : `Er ist hinter der ${hour}, vor der ${next}: ${hour}.`;
  },
  hourReason(at3, rule) {
    const [hour, minute] = [hour12(at3), minuteOfHour(at3)];
    if (minute === 0) return `Der kurze Zeiger steht auf der ${hour}: Die Stunde ist ${hour}.`;
    const next = nextHour12(hour);
    const after = hour === 12 ? " Nach der 12 kommt wieder die 1." : "";
    const isAlmost = minute >= 60 - CLOSE_MIN;
    const where = isAlmost ? `Der kurze Zeiger ist fast bei der ${next}, aber noch nicht da` : minute <= CLOSE_MIN ? `Der kurze Zeiger ist gerade an der ${hour} vorbei` : `Der kurze Zeiger ist an der ${hour} vorbei, noch nicht bei der ${next}`;
    const sentences = {
      passed: `${where}: Die Stunde ist ${isAlmost ? "noch " : ""}${hour}.`,
      "step-back": `${isAlmost ? `Der kurze Zeiger ist fast bei der ${next}. ` : ""}Geh vom kurzen Zeiger zur\xFCck zur Zahl davor: Die Stunde ist ${hour}.`,
      zone: `Der kurze Zeiger steht im Feld der ${hour}, von der ${hour} bis zur ${next}: Die Stunde ist ${hour}.`
    };
    return sentences[rule] + after;
  },
  shortMinutes(at3) {
    const minute = minuteOfHour(at3);
    if (minute === 0) return "Er steht auf der 12: keine Minuten, 00.";
    if (minute === 1) return "Ein Strich nach der 12: eine Minute.";
    if (minute < 5) return `Strich f\xFCr Strich von der 12: ${countedTo(minute, "und")}.`;
    if (minute === 5) return "Von der 12 bis zur 1: 5.";
    const part = { 15: ": eine Viertelrunde", 30: ": halb herum" }[minute] ?? "";
    return `${countedTo(minute, "und")}${part}.`;
  },
  minuteReason(at3) {
    const minute = minuteOfHour(at3);
    if (minute === 0) return "Der lange Zeiger steht auf der 12: noch keine Minuten, 00.";
    if (minute === 1) return "Der lange Zeiger steht einen Strich nach der 12: eine Minute.";
    if (minute < 5) return `Strich f\xFCr Strich von der 12: ${countedTo(minute, "und")} Minuten.`;
    if (minute === 5) return "Von der 12 bis zur 1: 5 Minuten.";
    const half = minute === 30 ? `: auf halbem Weg zur ${nextHour12(hour12(at3))}` : "";
    return `In F\xFCnfern von der 12: ${countedTo(minute, "und")} Minuten${PART_OF_THE_WAY[minute] ?? ""}${half}.`;
  },
  left(at3) {
    const left = 60 - minuteOfHour(at3);
    const span = left === 15 ? "ein Viertel" : left === 1 ? "eine Minute" : `${left} Minuten`;
    return `Noch ${span} bis ${nextHour12(hour12(at3))} Uhr.`;
  },
  wordings(at3, pack) {
    const minute = minuteOfHour(at3);
    const [taught, ...others] = say(at3, pack, "past-to");
    const regional = [...others, ...say(at3, pack, "coming-quarters")];
    const next = nextHour12(hour12(at3));
    const half = `halb ${pack.numbers[next]}`;
    const saidFromHalf = minute !== 30 && taught.includes("halb");
    const why = minute === 30 ? `: auf halbem Weg zur ${next}` : "";
    const where = saidFromHalf ? ` ${sentence(`${half}: bei der 6`)}` : "";
    const more = regional.length > 0 ? ` Andere sagen ${regional.join(" oder ")}.` : "";
    return `${sentence(`${taught}${why}`)}${where}${more}`;
  },
  board: {
    hand: (where) => `Kurzer Zeiger: ${where}.`,
    hour: (hour) => `Die Stunde ist ${hour}.`,
    longHand: "Langer Zeiger: die Minuten.",
    noMinutes: "Noch keine Minuten: 00.",
    left: (at3) => `Noch ${60 - minuteOfHour(at3)} bis ${nextHour12(hour12(at3))}.`
  },
  whichHour: {
    passed: "An welcher Zahl ist er vorbei?",
    "step-back": "Welche Zahl kommt davor?",
    zone: "Im Feld welcher Zahl steht er?"
  },
  whichNumeral: "Auf welcher Zahl steht er?",
  itIs: (time) => `Es ist ${time}${/^\d/.test(time) ? " Uhr" : ""}.`
};

// core/src/lesson/talk/en.ts
var PART_OF_THE_WAY2 = {
  15: ", a quarter of the way round",
  30: ", half way round",
  45: ", three quarters of the way round"
};
var english = {
  look: "What time is it?",
  tells: { hour: "The short hand tells the hour.", minute: "The long hand tells the minutes." },
  where: describeHand,
  shortHour(at3, rule) {
    const [hour, minute] = [hour12(at3), minuteOfHour(at3)];
    const next = nextHour12(hour);
    if (minute === 0) return `It points at ${hour}: the hour is ${hour}.`;
    if (rule === "step-back") return `Step back to the numeral before it: ${hour}.`;
    if (rule === "zone") return `It is in the zone of ${hour}: ${hour}.`;
    if (minute <= CLOSE_MIN) return `It is just past ${hour}: the hour is ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `It is almost at ${next}, but not there yet: still ${hour}.`;
    return hour === 12 ? "It has passed 12, and 1 comes next: 12." : `It has passed ${hour}, not ${next} yet: ${hour}.`;
  },
  hourReason(at3, rule) {
    const [hour, minute] = [hour12(at3), minuteOfHour(at3)];
    if (minute === 0) return `The short hand points at ${hour}: the hour is ${hour}.`;
    const next = nextHour12(hour);
    const after = hour === 12 ? " After 12 the hours begin again at 1." : "";
    const isAlmost = minute >= 60 - CLOSE_MIN;
    const where = isAlmost ? `The short hand is almost at ${next}, but not there yet` : minute <= CLOSE_MIN ? `The short hand is just past ${hour}` : `The short hand has passed ${hour} and not reached ${next} yet`;
    const sentences = {
      passed: `${where}: the hour is ${isAlmost ? "still " : ""}${hour}.`,
      "step-back": `${isAlmost ? `The short hand is almost at ${next}. ` : ""}Step back to the numeral before the short hand: the hour is ${hour}.`,
      zone: `The short hand is in the zone of ${hour}, from ${hour} to ${next}: the hour is ${hour}.`
    };
    return sentences[rule] + after;
  },
  shortMinutes(at3) {
    const minute = minuteOfHour(at3);
    if (minute === 0) return "It points at 12: no minutes, 00.";
    if (minute === 1) return "One tick past the 12: 1 minute.";
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, "and")}.`;
    if (minute === 5) return "From the 12 to the 1: 5.";
    const part = { 15: ": a quarter of the way round", 30: ": half way round" }[minute] ?? "";
    return `${countedTo(minute, "and")}${part}.`;
  },
  minuteReason(at3) {
    const minute = minuteOfHour(at3);
    if (minute === 0) return "The long hand points at 12: no minutes yet, 00.";
    if (minute === 1) return "The long hand is one tick past the 12: 1 minute.";
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, "and")} minutes.`;
    if (minute === 5) return "From the 12 to the 1: 5 minutes.";
    return `In fives from the 12: ${countedTo(minute, "and")} minutes${PART_OF_THE_WAY2[minute] ?? ""}.`;
  },
  left(at3) {
    const left = 60 - minuteOfHour(at3);
    const next = nextHour12(hour12(at3));
    const span = left === 15 ? "A quarter" : left === 1 ? "1 minute" : `${left} minutes`;
    return `${span} to go to ${next} o\u2019clock.`;
  },
  wordings(at3, pack) {
    const [taught, ...others] = say(at3, pack, "past-to");
    const digital = say(at3, pack, "hour-minutes");
    if (others.length > 0) return `${sentence(taught)} Others say ${others.join(" or ")}.`;
    return digital.length > 0 ? `${sentence(taught)} Or ${digital.join(" or ")}.` : sentence(taught);
  },
  board: {
    hand: (where) => `Short hand: ${where}.`,
    hour: (hour) => `The hour is ${hour}.`,
    longHand: "Long hand: the minutes.",
    noMinutes: "No minutes yet: 00.",
    left: (at3) => `${60 - minuteOfHour(at3)} left to ${nextHour12(hour12(at3))}.`
  },
  whichHour: {
    passed: "which numeral has it passed?",
    "step-back": "which numeral comes before it?",
    zone: "in the zone of which numeral is it?"
  },
  whichNumeral: "which numeral does it point at?",
  itIs: (time) => `It is ${time}.`
};

// core/src/lesson/talk/registry.ts
var TALKS = { en: english, de: german };
function tongueOf({ pack }) {
  return WORD_PACKS[pack].tongue;
}
function talkOf(settings) {
  return TALKS[tongueOf(settings)];
}
function inTongue(texts2) {
  return (settings) => texts2[tongueOf(settings)].replace("{which}", talkOf(settings).whichHour[settings.betweenRule]);
}

// core/src/time/duration.ts
function later(at3, bySec) {
  return wrapSecondOfDay(at3 + bySec);
}

// core/src/misconceptions/coming-hour.ts
var comingHour = {
  name: "Coming hour",
  whatThePupilDoes: "Names the numeral the short hand is on its way to whenever it is between two: 2:15 becomes 3:15.",
  sayToPupil: inTongue({
    en: "The short hand is on its way to the next numeral, but it is not there yet: {which}",
    de: "Der kurze Zeiger ist auf dem Weg zur n\xE4chsten Zahl, aber noch nicht da. {which}"
  }),
  nextMove: "Show the zone each hour owns, from its numeral to the next, and ask for the hour of ten places in it.",
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ hour, minute }) => ({ hour: Number(minute) === 0 ? hour : String(nextHour12(Number(hour))), minute })),
    set: (at3) => acts.set(minuteOfHour(at3) === 0 ? at3 : later(at3, 3600))
  })
};

// core/src/words/says-half-past.ts
function saysHalfPast(words, at3, pack) {
  const rule = pack.rules.find(({ register, from, to }) => register === "past-to" && from <= 30 && to >= 30);
  return minuteOfHour(at3) === 30 && rule?.template.includes("{n}") === false && say(at3, pack, "past-to").includes(words);
}

// core/src/misconceptions/half-of-coming-hour.ts
var halfOfComingHour = {
  name: "Half of the coming hour",
  whatThePupilDoes: "Counts the half towards the hour that is named, as several languages do: half past 4 is set as 3:30.",
  sayToPupil: inTongue({
    en: "\u201CHalf past\u201D means half an hour after. The hour in the words has begun already.",
    de: "\u201EHalf past\u201C hei\xDFt eine halbe Stunde danach. Die Stunde, die genannt wird, hat schon angefangen."
  }),
  sayWhile: {
    read: inTongue({
      en: "At half past, the short hand is half way on from its hour: {which}",
      de: "Wenn es halb ist, steht der kurze Zeiger auf halbem Weg. {which}"
    })
  },
  nextMove: "Say \u201Chalf an hour after four o\u2019clock\u201D first, set 4:00, and let the hands run on half a turn.",
  distorts: (acts, { pack }) => ({
    read: (pose) => acts.read(pose).map(({ hour, minute }) => ({ hour: minute === "30" ? String(nextHour12(Number(hour))) : hour, minute })),
    mean: (words) => acts.mean(words).map((typed) => {
      const at3 = timeTyped(typed);
      const isHalfPast = at3 !== null && saysHalfPast(words, at3, WORD_PACKS[pack]);
      return isHalfPast ? { ...typed, hour: String(previousHour12(Number(typed.hour))) } : typed;
    })
  })
};

// core/src/misconceptions/hands-exchanged.ts
var handsExchanged = {
  name: "Hands exchanged",
  whatThePupilDoes: "Takes the long hand for the hour and the short hand for the minutes.",
  sayToPupil: inTongue({
    en: "Look which hand is the short one: the short hand tells the hour, the long one tells the minutes.",
    de: "Schau, welcher Zeiger der kurze ist: Der kurze zeigt die Stunde, der lange die Minuten."
  }),
  nextMove: "Hide one hand at a time: read the hour from the short hand alone, then add the long hand.",
  distorts: (acts) => ({
    read({ hourDeg, minuteDeg }) {
      const hour = String(Math.floor(minuteDeg / 30) || 12);
      const minutes = [Math.floor(hourDeg / 6), Math.round(hourDeg / 6) % 60, Math.floor(hourDeg / 30) * 5];
      const shown = nearestTime({ hourDeg, minuteDeg });
      const typed = [...new Set(minutes)].map((minute) => ({ hour, minute: minuteDigits(minute) }));
      return typed.filter((one) => {
        const at3 = timeTyped(one);
        return at3 !== null && !isBeside(at3, shown);
      });
    },
    set: (at3) => [...acts.set(at3).map(exchanged), numeralsExchanged(at3)].filter((pose) => !isBeside(nearestTime(pose), at3))
  })
};
function isBeside(one, other) {
  const apartSec = Math.abs(one - other) % SECONDS_PER_HALF_DAY;
  return Math.min(apartSec, SECONDS_PER_HALF_DAY - apartSec) <= 120;
}
var exchanged = ({ hourDeg, minuteDeg }) => ({ hourDeg: minuteDeg, minuteDeg: hourDeg });
function numeralsExchanged(at3) {
  return { hourDeg: wrapDeg(Math.floor(minuteOfHour(at3) / 5) * 30), minuteDeg: wrapDeg(hour12(at3) * 30) };
}

// core/src/misconceptions/hour-hand-on-numeral.ts
var hourHandOnNumeral = {
  name: "Hour hand left on its numeral",
  whatThePupilDoes: "Points the short hand exactly at the hour, whatever the minutes are.",
  sayToPupil: inTongue({
    en: "When the long hand goes round, the short hand creeps on. Where is it at half past?",
    de: "Wenn der lange Zeiger herumgeht, wandert der kurze mit. Wo steht er, wenn es halb ist?"
  }),
  nextMove: "Sweep one hour slowly with the long hand hidden: watch the short hand travel from numeral to numeral.",
  distorts: () => ({ set: (at3) => [{ hourDeg: wrapDeg(hour12(at3) * 30), minuteDeg: minuteHandDeg(at3) }] })
};

// core/src/misconceptions/nearest-hour.ts
var nearestHour = {
  name: "Nearest hour",
  whatThePupilDoes: "Takes the numeral that the short hand is nearest to: 2:45 becomes 3:45.",
  sayToPupil: inTongue({
    en: "Look at the short hand again: {which} It has not reached the next one yet.",
    de: "Schau noch einmal auf den kurzen Zeiger. {which} Bei der n\xE4chsten ist er noch nicht."
  }),
  nextMove: "Sweep from quarter past to quarter to and stop where the nearest numeral changes: the hour does not.",
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ minute }) => ({ hour: String(Math.round(pose.hourDeg / 30) % 12 || 12), minute }))
  })
};

// core/src/misconceptions/numeral-as-minutes.ts
var numeralAsMinutes = {
  name: "Numeral as minutes",
  whatThePupilDoes: "Takes the numeral at the long hand for the number of minutes: 2:45 is read 2:09, 2:05 is set with the long hand on the 5.",
  sayToPupil: inTongue({
    en: "Count round in fives from the 12 to the long hand: each numeral is five minutes further.",
    de: "Z\xE4hle in F\xFCnfern von der 12 bis zum langen Zeiger: Jede Zahl ist f\xFCnf Minuten weiter."
  }),
  nextMove: "Count in fives round the dial with the minute ring on, then read with the ring hidden.",
  distorts: (acts) => ({
    read(pose) {
      const numeral = pose.minuteDeg / 30 || 12;
      if (!Number.isInteger(numeral)) return acts.read(pose);
      return acts.read(pose).flatMap(({ hour }) => [minuteDigits(numeral), String(numeral)].map((minute) => ({ hour, minute })));
    },
    set(at3) {
      const minute = minuteOfHour(at3);
      return acts.set(at3).map((pose) => minute >= 1 && minute <= 12 ? { ...pose, minuteDeg: wrapDeg(minute * 30) } : pose);
    }
  })
};

// core/src/misconceptions/sixty-at-the-top.ts
var sixtyAtTheTop = {
  name: "Sixty at the top",
  whatThePupilDoes: "Counts the full turn as 60 minutes of the hour before: 4:00 becomes 3:60.",
  sayToPupil: inTongue({
    en: "When the long hand comes back to 12, the next hour has begun: its minutes start at 00.",
    de: "Wenn der lange Zeiger wieder auf der 12 steht, f\xE4ngt die n\xE4chste Stunde an: Ihre Minuten beginnen bei 00."
  }),
  nextMove: "Count in fives round the dial and stop at the top: say the next o\u2019clock instead of sixty.",
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map((typed) => Number(typed.minute) === 0 ? { hour: String(previousHour12(Number(typed.hour))), minute: "60" } : typed)
  })
};

// core/src/misconceptions/zero-dropped.ts
var zeroDropped = {
  name: "Zero dropped",
  whatThePupilDoes: "Writes one digit for minutes under ten, or puts the zero behind: 6:05 becomes 6:5 or 6:50.",
  sayToPupil: inTongue({
    en: "The minutes always have two digits. Five minutes are written 05.",
    de: "Die Minuten haben immer zwei Ziffern. F\xFCnf Minuten schreibt man 05."
  }),
  nextMove: "Write 6:05 and 6:50 one under the other, set both on the dial and ask which is later.",
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).flatMap(withoutZero),
    mean: (words) => acts.mean(words).flatMap(withoutZero),
    later: (at3, minutes) => acts.later(at3, minutes).flatMap(withoutZero),
    to12: (at3) => acts.to12(at3).flatMap(withoutZero),
    to24: (at3) => acts.to24(at3).flatMap(withoutZero)
  })
};
function withoutZero({ hour, minute }) {
  if (!/^0\d$/.test(minute)) return [{ hour, minute }];
  const digit = minute.slice(1);
  const bare = { hour, minute: digit };
  return Number(digit) === 0 || Number(digit) > 5 ? [bare] : [bare, { hour, minute: `${digit}0` }];
}

// core/src/misconceptions/registry.ts
var MISCONCEPTIONS = {
  "hands-exchanged": handsExchanged,
  "numeral-as-minutes": numeralAsMinutes,
  "nearest-hour": nearestHour,
  "coming-hour": comingHour,
  "half-of-coming-hour": halfOfComingHour,
  "hour-hand-on-numeral": hourHandOnNumeral,
  "zero-dropped": zeroDropped,
  "sixty-at-top": sixtyAtTheTop
};
var MISCONCEPTION_IDS = Object.keys(MISCONCEPTIONS);
function misconceptionOf(id) {
  return MISCONCEPTIONS[id];
}

// core/src/misconceptions/distorted-acts.ts
function actsOf(held, settings) {
  return held.reduce((acts, id) => ({ ...acts, ...misconceptionOf(id).distorts(acts, settings) }), rightActs(settings));
}

// core/src/question-kinds/slips.ts
function oneOf(choices, rng) {
  return choices[Math.floor(rng() * choices.length)];
}
function timeBeside(at3, rng) {
  return wrapSecondOfDay(at3 + oneOf([60, -60, 300, -300, 3600, -3600], rng));
}

// core/src/question-kinds/choose-all/make.ts
var MOST_DISTRACTORS = 3;
function makeChooseAll(id, rng, rung, settings) {
  for (; ; ) {
    const at3 = timeOnRung(rung, rng);
    const from = oneOf(["words", "display", "dial"], rng);
    const choices = from === "dial" ? texts(at3, rng, settings) : dials(at3, from, rng, rung, settings);
    if (choices.length > 2) return { id, kind: "choose-all", timeSec: at3, from, choices: shuffled(choices, rng) };
  }
}
function texts(at3, rng, settings) {
  const { separator } = settings;
  const right = [displayText(at3, separator), ...say(at3, WORD_PACKS[settings.pack]).slice(0, 2)];
  const misread = shuffled(MISCONCEPTION_IDS, rng).flatMap((idea) => actsOf([idea], settings).read(gearedPose(at3)).slice(0, 1));
  const wrong = misread.filter((typed) => timeTyped(typed) !== null && typed.minute.length === 2 && !sameTyped(typed, typedTime(at3)));
  const distractors = new Set(wrong.map(({ hour, minute }) => `${hour}${separator}${minute}`));
  return [...right, ...[...distractors].slice(0, MOST_DISTRACTORS)].map((text) => ({ text }));
}
function dials(at3, from, rng, rung, settings) {
  const right = gearedPose(at3);
  const distractors = /* @__PURE__ */ new Map();
  for (const idea of shuffled(MISCONCEPTION_IDS, rng)) {
    const pose = takenFor(at3, from, idea, rung, settings);
    if (pose) distractors.set(`${pose.hourDeg} ${pose.minuteDeg}`, pose);
  }
  return [
    { ...right, numerals: "all" },
    { ...right, numerals: "quarters" },
    ...[...distractors.values()].slice(0, MOST_DISTRACTORS).map((pose) => ({ ...pose, numerals: "all" }))
  ];
}
function takenFor(at3, from, idea, rung, settings) {
  const acts = actsOf([idea], settings);
  const right = gearedPose(at3);
  const isOther = (pose) => Math.abs(pose.hourDeg - right.hourDeg) > 6 || Math.abs(pose.minuteDeg - right.minuteDeg) > 6;
  const meant = from === "words" ? acts.mean(bestWording(at3, WORD_PACKS[settings.pack])).map(timeTyped) : [at3];
  const set = meant.flatMap((time) => time === null ? [] : acts.set(time)).find(isOther);
  if (set) return set;
  const others = Array.from({ length: 12 }, (_, hour) => rung.minutes.map((minute) => gearedPose(secondOfDay(hour, minute)))).flat();
  return others.find((pose) => isOther(pose) && acts.read(pose).some((typed) => sameTyped(typed, typedTime(at3)))) ?? null;
}
function shuffled(list, rng) {
  const left = [...list];
  return list.map(() => left.splice(Math.floor(rng() * left.length), 1)[0]);
}

// core/src/rehearsal/rng.ts
function seededRng(seed) {
  let state = seed >>> 0;
  return () => {
    state = state + 1831565813 >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ mixed >>> 15, mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ mixed >>> 7, mixed | 61);
    return ((mixed ^ mixed >>> 14) >>> 0) / 4294967296;
  };
}

// core/src/lesson/settings.ts
var DEFAULT_SETTINGS = {
  readingOrder: "hour-first",
  betweenRule: "passed",
  pack: "en-GB",
  separator: ":",
  strictness: "right-side",
  wordsPerMinute: 120
};
function narrationMs(text, settings) {
  const words = text.split(/\s+/).filter(Boolean).length;
  return Math.round(words * 6e4 / settings.wordsPerMinute);
}

// core/src/question-kinds/kind-talk.ts
var SHARED2 = {
  en: {
    haveAGo: "Next time, have a go: a guess helps too.",
    count: "Count round from the 12 once more:",
    firstHour: "Not yet. Start with the short hand:",
    firstMinutes: "Not yet. Start with the long hand and count round from the 12."
  },
  de: {
    haveAGo: "Trau dich beim n\xE4chsten Mal: Auch Raten hilft.",
    count: "Z\xE4hle noch einmal von der 12 herum:",
    firstHour: "Noch nicht. Fang mit dem kurzen Zeiger an:",
    firstMinutes: "Noch nicht. Fang mit dem langen Zeiger an und z\xE4hle von der 12 herum."
  }
};
var haveAGo = (settings) => SHARED2[tongueOf(settings)].haveAGo;
function countOnceMore(at3, settings) {
  const counted = talkOf(settings).shortMinutes(at3);
  return minuteOfHour(at3) < 6 ? counted : `${SHARED2[tongueOf(settings)].count} ${counted}`;
}
function whereToBegin(at3, settings) {
  const { firstHour, firstMinutes } = SHARED2[tongueOf(settings)];
  if (settings.readingOrder === "minute-first") return firstMinutes;
  const talk = talkOf(settings);
  return `${firstHour} ${minuteOfHour(at3) === 0 ? talk.whichNumeral : talk.whichHour[settings.betweenRule]}`;
}
var reasonLayers = ({ betweenRule }) => betweenRule === "zone" ? { hourZones: true } : {};

// core/src/scene/bands/strokes.ts
function stroke(id, d, ink, width) {
  return { type: "path", id, d, fill: "none", stroke: ink, strokeWidth: width };
}
function label(id, x, y, text, size, fill, bold = false) {
  return { type: "text", id, x, y, text, size, bold, anchor: "middle", fill };
}

// core/src/scene/bands/day-line.ts
var NAMES = { en: { midnight: "midnight", noon: "noon" }, de: { midnight: "Mitternacht", noon: "Mittag" } };
var dayLine = {
  nodes,
  at: (band, atSec) => ({ ...band, atSec }),
  describe({ atSec, events }) {
    const clock = (sec) => displayText24(toSecondOfDay(sec));
    const at3 = atSec === null ? "" : `, at ${clock(atSec)}`;
    const named = events.map((event) => `${clock(event.atSec)} ${event.text}`).join(", ");
    return `The day from midnight to midnight${at3}${named && `, with ${named}`}.`;
  }
};
function nodes(band, place, id) {
  const y = place.y + place.height * 0.66;
  const xAt = (sec) => place.x + place.width * sec / SECONDS_PER_DAY;
  const half = place.x + place.width / 2;
  const drawn = [
    stroke(`${id}-first`, `M${place.x} ${y} L${half} ${y}`, "minute", 12),
    stroke(`${id}-second`, `M${half} ${y} L${place.x + place.width} ${y}`, "hour", 12)
  ];
  for (let hour = 0; hour <= 24; hour++) {
    const x = xAt(hour * 3600);
    const long = hour % 12 === 0 ? 26 : 14;
    drawn.push(stroke(`${id}-tick-${hour}`, `M${x.toFixed(1)} ${y - long} L${x.toFixed(1)} ${y + long}`, "ink", hour % 12 === 0 ? 5 : 3));
    if (hour % 12 !== 0) drawn.push(label(`${id}-hour-${hour}`, x, y + 38, String(hour % 12), 24, "ink"));
  }
  const { midnight, noon } = NAMES[band.tongue ?? "en"];
  for (const [sec, text] of [
    [0, midnight],
    [SECONDS_PER_DAY / 2, noon],
    [SECONDS_PER_DAY, midnight]
  ]) {
    drawn.push(label(`${id}-name-${sec}`, xAt(sec), y + 48, text, 28, "ink", true));
  }
  [...band.events].sort((a, b) => a.atSec - b.atSec).forEach(({ atSec, text }, index) => {
    const top = y - (index % 2 === 0 ? 50 : 96);
    drawn.push(stroke(`${id}-event-${index}`, `M${xAt(atSec).toFixed(1)} ${top + 18} L${xAt(atSec).toFixed(1)} ${y}`, "soft", 3));
    drawn.push(label(`${id}-event-text-${index}`, xAt(atSec), top, text, 26, "ink"));
  });
  if (band.atSec !== null) {
    const x = xAt(band.atSec);
    drawn.push({ type: "circle", id: `${id}-at`, cx: x, cy: y, r: 15, fill: "accent", stroke: "ink", strokeWidth: 3 });
    drawn.push(label(`${id}-at-text`, x, y - 34, displayText(toSecondOfDay(band.atSec), band.separator ?? ":"), 28, "ink", true));
  }
  return drawn;
}

// core/src/scene/scene-node.ts
function coordinate(value) {
  return String(Math.round(value * 100) / 100);
}
function pointAt(deg, radius) {
  const rad = deg * Math.PI / 180;
  return [radius * Math.sin(rad), -radius * Math.cos(rad)];
}
function sectorPath(fromDeg, toDeg, radius) {
  return `M0 0 L${arcBody(fromDeg, toDeg, radius)} Z`;
}
function arcBody(fromDeg, toDeg, radius) {
  const span = Math.min(359.99, Math.max(0, toDeg - fromDeg));
  const [x1, y1] = pointAt(fromDeg, radius).map(coordinate);
  const [x2, y2] = pointAt(fromDeg + span, radius).map(coordinate);
  const r = coordinate(radius);
  return `${x1} ${y1} A${r} ${r} 0 ${span > 180 ? 1 : 0} 1 ${x2} ${y2}`;
}

// core/src/scene/bands/fraction.ts
var at = (band, at3) => ({ ...band, filled: minuteOfHour(at3) / 60 * band.parts });
var describe = (shape) => (band) => `A ${shape} in ${band.parts} parts, ${Math.round(band.filled * 100) / 100} of them filled.`;
var fractionStrip = { nodes: stripNodes, at, describe: describe("strip") };
var fractionCircle = { nodes: circleNodes, at, describe: describe("circle") };
function stripNodes({ parts, filled }, place, id) {
  const [top, height] = [place.y + place.height * 0.3, place.height * 0.4];
  const box = (width) => `M${place.x} ${top} L${place.x + width} ${top} L${place.x + width} ${top + height} L${place.x} ${top + height} Z`;
  const nodes3 = [{ type: "path", id: `${id}-whole`, d: box(place.width), fill: "face", stroke: "ink", strokeWidth: 4 }];
  if (filled > 0)
    nodes3.push({
      type: "path",
      id: `${id}-filled`,
      d: box(place.width * Math.min(filled, parts) / parts),
      fill: "minute",
      opacity: 0.35
    });
  for (let part = 1; part < parts; part++) {
    const x = (place.x + place.width * part / parts).toFixed(1);
    nodes3.push(stroke(`${id}-cut-${part}`, `M${x} ${top} L${x} ${top + height}`, "ink", 3));
  }
  return nodes3;
}
function circleNodes({ parts, filled }, place, id) {
  const r = place.height * 0.44;
  const nodes3 = [{ type: "circle", id: `${id}-whole`, cx: 0, cy: 0, r, fill: "face", stroke: "ink", strokeWidth: 4 }];
  if (filled > 0)
    nodes3.push({
      type: "path",
      id: `${id}-filled`,
      d: sectorPath(0, 360 * Math.min(filled, parts) / parts, r),
      fill: "minute",
      opacity: 0.35
    });
  for (let part = 0; part < parts; part++) {
    const rad = part / parts * 2 * Math.PI;
    nodes3.push(stroke(`${id}-cut-${part}`, `M0 0 L${(r * Math.sin(rad)).toFixed(1)} ${(-r * Math.cos(rad)).toFixed(1)}`, "ink", 3));
  }
  return [{ type: "group", id, x: place.x + place.width / 2, y: place.y + place.height / 2, scale: 1, turnDeg: 0, nodes: nodes3 }];
}

// core/src/scene/bands/hour-line.ts
var hourLine = {
  nodes: nodes2,
  at(band, at3) {
    const minute = minuteOfHour(at3);
    const count = band.by === 1 ? 0 : Math.floor(minute / band.by);
    const jumps = Array.from({ length: count }, (_, index) => ({ from: index * band.by, to: (index + 1) * band.by }));
    return { ...band, hour: hour12(at3), at: minute, jumps };
  },
  describe: ({ hour, at: at3 }) => `A line from ${hour} o\u2019clock to ${nextHour12(hour)} o\u2019clock${at3 === null ? "" : `, at ${at3} minutes`}.`
};
function nodes2(band, place, id) {
  const y = place.y + place.height * 0.62;
  const xAt = (minute) => place.x + place.width * minute / 60;
  const drawn = [stroke(`${id}-line`, `M${place.x} ${y} L${place.x + place.width} ${y}`, "ink", 6)];
  for (let minute = 0; minute <= 60; minute += band.by) {
    const long = minute % 15 === 0 ? 26 : minute % 5 === 0 ? 18 : 10;
    drawn.push(
      stroke(
        `${id}-tick-${minute}`,
        `M${xAt(minute).toFixed(1)} ${y - long} L${xAt(minute).toFixed(1)} ${y + long}`,
        "ink",
        minute % 15 === 0 ? 5 : 3
      )
    );
    const named = minute > 0 && minute < 60 && (band.by !== 1 || minute % 5 === 0);
    if (named) drawn.push(label(`${id}-minute-${minute}`, xAt(minute), y + 50, String(minute), 28, "minute"));
  }
  drawn.push(label(`${id}-from`, place.x, y + 54, `${band.hour}:00`, 36, "hour", true));
  drawn.push(label(`${id}-to`, place.x + place.width, y + 54, `${nextHour12(band.hour)}:00`, 36, "hour", true));
  band.jumps.forEach(
    ({ from, to }, index) => drawn.push(...jump(xAt(from), xAt(to), y, `${Math.abs(to - from)} min`, `${id}-jump-${index}`))
  );
  if (band.at !== null) {
    const x = xAt(band.at);
    drawn.push({
      type: "path",
      id: `${id}-at`,
      d: `M${x - 16} ${y - 62} L${x + 16} ${y - 62} L${x} ${y - 30} Z`,
      fill: "accent",
      stroke: "ink",
      strokeWidth: 2
    });
  }
  return drawn;
}
function jump(from, to, y, text, id) {
  const middle = (from + to) / 2;
  const top = y - 34 - Math.min(70, Math.abs(to - from) / 3);
  const side = to > from ? -10 : 10;
  return [
    stroke(id, `M${from.toFixed(1)} ${y - 20} Q${middle.toFixed(1)} ${top - 20} ${to.toFixed(1)} ${y - 20}`, "accent", 5),
    stroke(
      `${id}-tip`,
      `M${(to + side).toFixed(1)} ${y - 38} L${to.toFixed(1)} ${y - 20} L${(to + side * 2).toFixed(1)} ${y - 24}`,
      "accent",
      5
    ),
    label(`${id}-text`, middle, (y - 20 + top - 20) / 2 - 22, text, 26, "ink", true)
  ];
}

// core/src/scene/bands/registry.ts
var BAND_KINDS = {
  "hour-line": hourLine,
  "day-line": dayLine,
  "fraction-strip": fractionStrip,
  "fraction-circle": fractionCircle
};
function bandKindOf(band) {
  return BAND_KINDS[band.type];
}

// core/src/scene/stage-state.ts
function displayOf(hour, minute, separator) {
  return { hour, minute, separator, of24: false, covered: [], plain: false };
}
var CLEAR_STAGE = {
  dial: null,
  dials: [],
  dialPlace: 0,
  bands: [],
  display: null,
  words: [],
  board: [],
  stem: null,
  countdown: null
};
function keepOnStage(stage, parts) {
  return { ...CLEAR_STAGE, ...Object.fromEntries(parts.map((part) => [part, stage[part]])) };
}
function sideBySide(dials2) {
  return { dial: dials2[0] ?? null, dials: dials2.slice(1), dialPlace: 0 };
}

// core/src/scene/describe-stage.ts
function dialLetter(index) {
  return String.fromCharCode(65 + index);
}

// core/src/question-kinds/choose-all/response-text.ts
function lettersOf(places, and = "and") {
  const letters = places.map(dialLetter);
  return letters.length > 1 ? `${letters.slice(0, -1).join(", ")} ${and} ${letters.at(-1)}` : letters[0] ?? "none";
}
function chooseAllText({ chosen }) {
  return chosen.length === 0 ? "blank" : lettersOf(chosen);
}

// core/src/question-kinds/choose-all/texts.ts
var TEXTS = {
  en: {
    stem: (time) => `Choose all that show ${time}.`,
    stemOfDial: "Choose all that say what this clock shows.",
    show: (key, time) => `${lettersOf(key)} ${key.length === 1 ? "shows" : "show"} ${time}.`,
    shows: (letter, time) => `${letter} shows ${time}.`,
    otherTime: (letter) => `${letter} says another time.`,
    noTime: (letter) => `${letter} can be no time: its hands do not agree.`,
    right: "Yes, you found them all.",
    someRight: "Some of yours are right. Look at each one again:",
    notYet: "Not yet. Take them one by one:",
    hourFirst: "the short hand first, then the long one.",
    minuteFirst: "the long hand first, then the short one."
  },
  de: {
    stem: (time) => `W\xE4hle alle, die ${time} zeigen.`,
    stemOfDial: "W\xE4hle alle, die sagen, was diese Uhr zeigt.",
    show: (key, time) => `${lettersOf(key, "und")} ${key.length === 1 ? "zeigt" : "zeigen"} ${time}.`,
    shows: (letter, time) => `${letter} zeigt ${time}.`,
    otherTime: (letter) => `${letter} sagt eine andere Zeit.`,
    noTime: (letter) => `${letter} kann keine Zeit sein: Die Zeiger passen nicht zusammen.`,
    right: "Ja, du hast alle gefunden.",
    someRight: "Einige von deinen stimmen. Schau dir jede noch einmal an:",
    notYet: "Noch nicht. Nimm sie eine nach der anderen:",
    hourFirst: "zuerst der kurze Zeiger, dann der lange.",
    minuteFirst: "zuerst der lange Zeiger, dann der kurze."
  }
};

// core/src/dial/possible.ts
var TOLERANCE_DEG = 2;
function reportPose(pose, toleranceDeg = TOLERANCE_DEG) {
  const { residualDeg } = coherenceOf(pose);
  const nearest = nearestTime(pose);
  const minute = minuteOfHour(nearest);
  if (residualDeg <= toleranceDeg) {
    return { possible: true, nearest, sentence: `This can be: it is ${hour12(nearest)}:${minuteDigits(minute)}.` };
  }
  const shouldBe = placeOf(gearedPose(nearest).hourDeg, minute);
  const isEarly = turnDeg(gearedPose(nearest).hourDeg, pose.hourDeg) < 0;
  const here = isEarly ? "here it has not gone so far" : "here it has gone further";
  return { possible: false, nearest, sentence: `This cannot be: ${whenIs(minute)}, the hour hand ${shouldBe}; ${here}.` };
}
function placeOf(hourDeg, minute) {
  const hour = Math.floor(hourDeg / 30) || 12;
  const next = nextHour12(hour);
  if (minute === 0) return `points exactly at the ${hour}`;
  if (minute === 30) return `is half way from the ${hour} to the ${next}`;
  if (minute < 10) return `is just past the ${hour}`;
  if (minute > 50) return `is nearly at the ${next}`;
  return `is ${minute < 30 ? "less" : "more"} than half way from the ${hour} to the ${next}`;
}
function whenIs(minute) {
  const named = { 0: "at the full hour", 15: "at quarter past", 30: "at half past", 45: "at quarter to" };
  return named[minute] ?? `${minute} ${minute === 1 ? "minute" : "minutes"} past the hour`;
}

// core/src/scene/dial-state.ts
function dialOf(pose, layers, marks = []) {
  return { pose, secondDeg: 0, trailDeg: 0, layers, marks, isKey: false };
}
var PLAIN_LAYERS = {
  numerals: "all",
  ticks: true,
  minuteRing: "none",
  numeralGaps: [],
  ringTop: "00",
  ring24: false,
  hourZones: false,
  halves: false,
  quarters: false,
  shaded: false,
  hourHand: true,
  minuteHand: true,
  secondHand: false,
  handInk: "alike",
  peek: true
};
var TEACHING_LAYERS = { ...PLAIN_LAYERS, minuteRing: "full", handInk: "own" };
var EMPTY_LAYERS = { ...PLAIN_LAYERS, hourHand: false, minuteHand: false };

// core/src/question-kinds/choose-all/samples.ts
var dial = (hourDeg, minuteDeg, numerals = "all") => ({ hourDeg, minuteDeg, numerals });
var CHOOSE_ALL_SAMPLES = [
  {
    id: "sample-half",
    kind: "choose-all",
    timeSec: 27e3,
    from: "words",
    choices: [dial(225, 180), dial(210, 180), dial(195, 180), dial(225, 180, "quarters"), dial(255, 180)]
  },
  {
    id: "sample-quarter",
    kind: "choose-all",
    timeSec: 45900,
    from: "display",
    choices: [dial(22.5, 270), dial(22.5, 270, "quarters"), dial(270, 22.5), dial(352.5, 270)]
  },
  {
    id: "sample-words",
    kind: "choose-all",
    timeSec: 56700,
    from: "dial",
    choices: [{ text: "3:45" }, { text: "quarter to four" }, { text: "4:45" }, { text: "3:09" }, { text: "three forty-five" }]
  },
  { id: "sample-one", kind: "choose-all", timeSec: 21900, from: "display", choices: [dial(182.5, 30), dial(30, 182.5)] }
];

// core/src/question-kinds/choose-all/choose-all.ts
var NEAR_DEG = 3;
var chooseAll = {
  name: "Choose all that show it",
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item, settings) => responseOf(keyPlaces(item, settings)),
  viewOf: (item, settings) => ({
    kind: "choose-all",
    itemId: item.id,
    stem: stemOf(item, settings),
    shown: item.from === "dial" ? { ...gearedPose(toSecondOfDay(item.timeSec)), numerals: "all" } : null,
    choices: item.choices,
    layers: PLAIN_LAYERS
  }),
  judge,
  predict(item, acts, settings) {
    const chosen = targetsOf(item, acts, settings).map((target) => placesWhere(item, (choice) => isTakenFor(choice, target, acts)));
    return chosen.filter((places) => places.length > 0).map(responseOf);
  },
  isSame: (_item, predicted, given) => predicted.chosen.join() === sorted(given.chosen).join(),
  isPossible: (item, { chosen }) => new Set(chosen).size === chosen.length && chosen.every((place) => place < item.choices.length),
  doing: (item) => item.from === "words" ? "mean" : "read",
  hint,
  reason(item, settings) {
    const key = keyPlaces(item, settings);
    const others = item.choices.flatMap((choice, place) => key.includes(place) ? [] : [whatShows(choice, dialLetter(place), settings)]);
    return [chooseAll.keySentence(item, settings), ...others];
  },
  keySentence(item, settings) {
    const key = keyPlaces(item, settings);
    return TEXTS[tongueOf(settings)].show(key, askedText(item, settings));
  },
  responseText: (_item, response) => chooseAllText(response),
  asked: (item, settings) => ({ ...choicesOnStage(item, []), stem: stemOf(item, settings) }),
  answered(item, settings) {
    const stage = choicesOnStage(item, keyPlaces(item, settings));
    return item.from === "dial" ? stage : { ...stage, board: chooseAll.reason(item, settings) };
  },
  slip(item, rng, settings) {
    const key = keyPlaces(item, settings);
    const place = Math.floor(rng() * item.choices.length);
    const chosen = key.includes(place) ? key.filter((one) => one !== place) : sorted([...key, place]);
    return responseOf(chosen);
  },
  make: makeChooseAll,
  samples: CHOOSE_ALL_SAMPLES
};
var sorted = (places) => [...places].sort((a, b) => a - b);
var responseOf = (chosen) => ({ kind: "choose-all", chosen });
var placesWhere = (item, holds) => item.choices.flatMap((choice, place) => holds(choice) ? [place] : []);
function keyPlaces(item, settings) {
  const acts = actsOf([], settings);
  return placesWhere(item, (choice) => isTakenFor(choice, toSecondOfDay(item.timeSec), acts));
}
function targetsOf(item, acts, { pack }) {
  const at3 = toSecondOfDay(item.timeSec);
  if (item.from === "display") return [at3];
  const typed = item.from === "words" ? acts.mean(bestWording(at3, WORD_PACKS[pack])) : acts.read(gearedPose(at3));
  return typed.map(timeTyped).filter((time) => time !== null);
}
function isTakenFor(choice, target, acts) {
  const wanted = typedTime(target);
  const isWanted = (typed) => sameTyped(typed, wanted);
  if ("text" in choice) return acts.mean(choice.text).some(isWanted);
  if (reportPose(choice).possible) return acts.read(choice).some(isWanted);
  return acts.set(target).some((pose) => isNear(pose, choice));
}
function isNear(a, b) {
  return Math.abs(turnDeg(a.hourDeg, b.hourDeg)) <= NEAR_DEG && Math.abs(turnDeg(a.minuteDeg, b.minuteDeg)) <= NEAR_DEG;
}
function judge(item, { chosen }, settings) {
  const key = keyPlaces(item, settings);
  const right = key.join() === sorted(chosen).join();
  const parts = [{ part: "choices", right }];
  if (right) return { verdict: "right", parts };
  if (chosen.length === 0) return { verdict: "blank", parts };
  return { verdict: chosen.some((place) => key.includes(place)) ? "partly" : "not-yet", parts };
}
function hint(_item, { verdict }, settings) {
  const text = TEXTS[tongueOf(settings)];
  if (verdict === "right") return text.right;
  if (verdict === "blank") return haveAGo(settings);
  const first = settings.readingOrder === "hour-first" ? text.hourFirst : text.minuteFirst;
  return `${verdict === "partly" ? text.someRight : text.notYet} ${first}`;
}
function askedText(item, settings) {
  const at3 = toSecondOfDay(item.timeSec);
  return item.from === "words" ? bestWording(at3, WORD_PACKS[settings.pack]) : displayText(at3, settings.separator);
}
function stemOf(item, settings) {
  const text = TEXTS[tongueOf(settings)];
  return item.from === "dial" ? text.stemOfDial : text.stem(askedText(item, settings));
}
function whatShows(choice, letter, settings) {
  const text = TEXTS[tongueOf(settings)];
  if ("text" in choice) return text.otherTime(letter);
  const { possible, nearest } = reportPose(choice);
  return possible ? text.shows(letter, displayText(nearest, settings.separator)) : text.noTime(letter);
}
function dialOfChoice({ numerals, hourDeg, minuteDeg }, isKey) {
  return { ...dialOf({ hourDeg, minuteDeg }, { ...PLAIN_LAYERS, numerals }), isKey };
}
function choicesOnStage(item, key) {
  const dials2 = item.choices.flatMap((choice, place) => "text" in choice ? [] : [dialOfChoice(choice, key.includes(place))]);
  if (item.from !== "dial") return { ...CLEAR_STAGE, ...sideBySide(dials2) };
  const lines = item.choices.map((choice, place) => `${dialLetter(place)}  ${"text" in choice ? choice.text : ""}`);
  return {
    ...CLEAR_STAGE,
    dial: dialOf(gearedPose(toSecondOfDay(item.timeSec)), PLAIN_LAYERS),
    board: lines.map((line, place) => key.includes(place) ? `${line} \u2713` : line)
  };
}

// core/src/question-kinds/read-dial/texts.ts
var TEXTS2 = {
  en: {
    stem: "What time is it?",
    right: (time) => `Yes, it is ${time}. You read both hands.`,
    otherForm: (time) => `That is the right time. Today we write it as ${time}.`,
    twoDigits: "The time is right. The minutes always have two digits.",
    minutesRight: "Your minutes are right.",
    hourRight: "Your hour is right."
  },
  de: {
    stem: "Wie sp\xE4t ist es?",
    right: (time) => `Ja, es ist ${time} Uhr. Du hast beide Zeiger gelesen.`,
    otherForm: (time) => `Die Zeit stimmt. Heute schreiben wir sie so: ${time}.`,
    twoDigits: "Die Zeit stimmt. Die Minuten haben immer zwei Ziffern.",
    minutesRight: "Deine Minuten stimmen.",
    hourRight: "Deine Stunde stimmt."
  }
};

// core/src/lesson/reason.ts
function reasonFor(at3, settings) {
  const talk = talkOf(settings);
  const sentences = [talk.hourReason(at3, settings.betweenRule), talk.minuteReason(at3)];
  return settings.readingOrder === "hour-first" ? sentences : sentences.reverse();
}

// core/src/question-kinds/verdict.ts
function isRightVerdict(verdict) {
  return verdict === "right" || verdict === "right-other-form";
}

// core/src/question-kinds/read-dial/response-text.ts
function readDialText({ hour, minute }) {
  return hour === "" && minute === "" ? "blank" : `${hour || "_"}:${minute || "_"}`;
}

// core/src/question-kinds/read-dial/read-dial.ts
var poseOf = (item) => gearedPose(toSecondOfDay(item.timeSec));
var readDial = {
  name: "Read a dial",
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item) => ({ kind: "read-dial", ...typedTime(toSecondOfDay(item.timeSec)) }),
  viewOf: (item, settings) => ({
    kind: "read-dial",
    itemId: item.id,
    stem: TEXTS2[tongueOf(settings)].stem,
    pose: poseOf(item),
    layers: PLAIN_LAYERS,
    separator: settings.separator
  }),
  judge: judge2,
  predict: (item, acts) => acts.read(poseOf(item)).map((typed) => ({ kind: "read-dial", ...typed })),
  isSame: (_item, predicted, given) => given.hour !== "" && onDial(Number(predicted.hour)) === onDial(Number(given.hour)) && predicted.minute === given.minute,
  isPossible: () => true,
  doing: () => "read",
  hint: hint2,
  reason: (item, settings) => reasonFor(toSecondOfDay(item.timeSec), settings),
  keySentence: (item, settings) => talkOf(settings).itIs(displayText(toSecondOfDay(item.timeSec), settings.separator)),
  responseText: (_item, response) => readDialText(response),
  asked: (item, settings) => ({
    ...CLEAR_STAGE,
    dial: dialOf(poseOf(item), PLAIN_LAYERS),
    display: displayOf(null, null, settings.separator),
    stem: TEXTS2[tongueOf(settings)].stem
  }),
  answered(item, settings) {
    const at3 = toSecondOfDay(item.timeSec);
    const { hour, minute } = typedTime(at3);
    return {
      ...CLEAR_STAGE,
      dial: dialOf(poseOf(item), { ...PLAIN_LAYERS, ...reasonLayers(settings) }),
      display: displayOf(hour, minute, settings.separator),
      words: say(at3, WORD_PACKS[settings.pack]),
      board: reasonFor(at3, settings)
    };
  },
  slip(item, rng) {
    const at3 = toSecondOfDay(item.timeSec);
    const key = typedTime(at3);
    const exchanged2 = { hour: key.minute, minute: key.hour.padStart(2, "0") };
    const turned = { hour: key.hour, minute: [...key.minute].reverse().join("") };
    const beside = typedTime(timeBeside(at3, rng));
    const digit = { ...key, minute: `${key.minute[0]}${(Number(key.minute[1]) + oneOf([1, 9], rng)) % 10}` };
    const nothing = { hour: "", minute: "" };
    const slipped = oneOf([beside, digit, { ...key, minute: "" }, nothing, exchanged2, turned], rng);
    const isSlip = !isRightVerdict(judge2(item, { kind: "read-dial", ...slipped }).verdict);
    return { kind: "read-dial", ...isSlip ? slipped : beside };
  },
  make: (id, rng, rung) => ({ id, kind: "read-dial", timeSec: timeOnRung(rung, rng) }),
  samples: [27e3, 0, 43200, 45300, 60600, 21900, 35940, 3660].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: "read-dial",
    timeSec
  }))
};
function judge2(item, response) {
  const at3 = toSecondOfDay(item.timeSec);
  const hour = Number(response.hour || NaN);
  const right = {
    hour: hour <= 23 && onDial(hour) === hour12(at3),
    // a dial does not tell the halves of a day apart
    minute: Number(response.minute || NaN) === minuteOfHour(at3),
    form: response.minute.length === 2
  };
  const parts = ["hour", "minute", "form"].map((part) => ({ part, right: right[part] }));
  if (response.hour === "" && response.minute === "") return { verdict: "blank", parts };
  if (right.hour && right.minute && right.form) return { verdict: hour === hour12(at3) ? "right" : "right-other-form", parts };
  return { verdict: right.hour || right.minute ? "partly" : "not-yet", parts };
}
function hint2(item, { verdict, parts }, settings) {
  const at3 = toSecondOfDay(item.timeSec);
  const text = TEXTS2[tongueOf(settings)];
  const time = displayText(at3, settings.separator);
  const isRight = (wanted) => parts.some(({ part, right }) => part === wanted && right);
  if (verdict === "blank") return haveAGo(settings);
  if (verdict === "right") return text.right(time);
  if (verdict === "right-other-form") return text.otherForm(time);
  if (isRight("hour") && isRight("minute")) return text.twoDigits;
  if (isRight("minute")) return `${text.minutesRight} ${talkOf(settings).hourReason(at3, settings.betweenRule)}`;
  if (isRight("hour")) return `${text.hourRight} ${countOnceMore(at3, settings)}`;
  return whereToBegin(at3, settings);
}

// core/src/question-kinds/set-dial/texts.ts
var TEXTS3 = {
  en: {
    stem: (time) => `Set the hands to ${time}.`,
    right: (time) => `Yes, that is ${time}. Both hands are in place.`,
    minuteRight: (where) => `Your long hand is right. Look at the short hand again: it belongs ${where}.`,
    hourRight: "Your short hand is right.",
    notYet: "Not yet. Start with the short hand: where is it when the hour has begun?"
  },
  de: {
    stem: (time) => `Stell die Zeiger auf ${time}.`,
    right: (time) => `Ja, das ist ${time} Uhr. Beide Zeiger stehen richtig.`,
    minuteRight: (where) => `Dein langer Zeiger stimmt. Schau noch einmal auf den kurzen: Sein Platz ist ${where}.`,
    hourRight: "Dein kurzer Zeiger stimmt.",
    notYet: "Noch nicht. Fang mit dem kurzen Zeiger an: Wo steht er, wenn die Stunde angefangen hat?"
  }
};

// core/src/question-kinds/set-dial/response-text.ts
function setDialText(pose) {
  const { hour, minute, residualDeg } = coherenceOf(pose);
  const digits = `${hour}:${minuteDigits(Math.round(minute) % 60)}`;
  return residualDeg > STRICTNESS.proportion ? `about ${digits}, hands do not agree` : digits;
}

// core/src/question-kinds/set-dial/set-dial.ts
var HIT_DEG = { hour: 4, minute: 6 };
var MINUTE_TOLERANCE_DEG = 3;
var GEAR_PLAY_DEG = 0.1;
function offOf(one, other) {
  return { hour: Math.abs(turnDeg(one.hourDeg, other.hourDeg)), minute: Math.abs(turnDeg(one.minuteDeg, other.minuteDeg)) };
}
var responseOf2 = (pose) => ({ kind: "set-dial", ...pose });
var setDial = {
  name: "Set a dial",
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item) => responseOf2(gearedPose(toSecondOfDay(item.timeSec))),
  viewOf: (item, settings) => ({
    kind: "set-dial",
    itemId: item.id,
    stem: stemOf2(item, settings),
    hands: item.hands,
    startSec: 0,
    layers: PLAIN_LAYERS
  }),
  judge: judge3,
  predict(item, acts, { pack }) {
    const at3 = toSecondOfDay(item.timeSec);
    const meant = item.from === "words" ? acts.mean(bestWording(at3, WORD_PACKS[pack])).map(timeTyped) : [at3];
    const poses = meant.flatMap((time) => time === null ? [] : acts.set(time));
    return poses.map((pose) => responseOf2(item.hands === "geared" ? gearedPose(nearestTime(pose)) : pose));
  },
  isSame(item, predicted, given) {
    const off = offOf(predicted, given);
    if (off.hour > HIT_DEG.hour || off.minute > HIT_DEG.minute) return false;
    const offKey = offOf(gearedPose(toSecondOfDay(item.timeSec)), given);
    return off.hour + off.minute <= offKey.hour + offKey.minute;
  },
  isPossible: (item, response) => item.hands === "free" || coherenceOf(response).residualDeg <= GEAR_PLAY_DEG,
  doing: (item) => item.from === "words" ? "mean" : "set",
  hint: hint3,
  reason: (item, settings) => reasonFor(toSecondOfDay(item.timeSec), settings),
  keySentence: (item, settings) => talkOf(settings).itIs(displayText(toSecondOfDay(item.timeSec), settings.separator)),
  responseText: (_item, response) => setDialText(response),
  asked: (item, settings) => ({
    ...CLEAR_STAGE,
    dial: dialOf({ hourDeg: 0, minuteDeg: 0 }, EMPTY_LAYERS),
    stem: stemOf2(item, settings)
  }),
  answered(item, settings) {
    const at3 = toSecondOfDay(item.timeSec);
    const { hour, minute } = typedTime(at3);
    return {
      ...CLEAR_STAGE,
      dial: dialOf(gearedPose(at3), { ...PLAIN_LAYERS, ...reasonLayers(settings) }),
      display: displayOf(hour, minute, settings.separator),
      board: reasonFor(at3, settings)
    };
  },
  slip(item, rng) {
    const beside = gearedPose(timeBeside(toSecondOfDay(item.timeSec), rng));
    const untouched = { hourDeg: 0, minuteDeg: 0 };
    if (item.timeSec % SECONDS_PER_HALF_DAY !== 0 && rng() < 0.1) return responseOf2(untouched);
    if (item.hands === "geared") return responseOf2(beside);
    const { hourDeg, minuteDeg } = gearedPose(toSecondOfDay(item.timeSec));
    return responseOf2(
      oneOf(
        [
          { hourDeg, minuteDeg: wrapDeg(minuteDeg + oneOf([6, -6, 30, -30], rng)) },
          { hourDeg: wrapDeg(hourDeg + oneOf([30, -30], rng)), minuteDeg }
        ],
        rng
      )
    );
  },
  make: (id, rng, rung) => ({
    id,
    kind: "set-dial",
    timeSec: timeOnRung(rung, rng),
    from: oneOf(["display", "words"], rng),
    hands: oneOf(["geared", "free"], rng)
  }),
  samples: [9e3, 34200, 0, 45300, 57900, 7500, 35940].flatMap(
    (timeSec, index) => ["geared", "free"].map((hands) => ({
      id: `sample-${index}-${hands}`,
      kind: "set-dial",
      timeSec,
      from: index % 2 === 0 ? "words" : "display",
      hands
    }))
  )
};
function stemOf2(item, settings) {
  const at3 = toSecondOfDay(item.timeSec);
  const { stem } = TEXTS3[tongueOf(settings)];
  return stem(item.from === "display" ? displayText(at3, settings.separator) : bestWording(at3, WORD_PACKS[settings.pack]));
}
function judge3(item, response, settings) {
  const at3 = toSecondOfDay(item.timeSec);
  const minuteOffDeg = turnDeg(minuteHandDeg(at3), response.minuteDeg);
  const minute = Math.abs(minuteOffDeg) < MINUTE_TOLERANCE_DEG;
  const hour = hourHandFits(at3, wrapDeg(response.hourDeg - (minute ? minuteOffDeg / 12 : 0)), settings);
  return {
    verdict: hour && minute ? "right" : hour || minute ? "partly" : "not-yet",
    parts: [
      { part: "hour", right: hour },
      { part: "minute", right: minute }
    ]
  };
}
function hourHandFits(at3, hourDeg, { strictness }) {
  const offDeg = Math.abs(turnDeg(hourHandDeg(at3), hourDeg));
  if (strictness !== "right-side" || offDeg <= STRICTNESS.proportion) return offDeg <= STRICTNESS[strictness];
  const isBetween = wrapDeg(hourDeg - hour12(at3) * 30) <= 30;
  return isBetween && minuteOfHour(at3) > 0 && offDeg <= STRICTNESS["right-side"];
}
function hint3(item, { verdict, parts }, settings) {
  const at3 = toSecondOfDay(item.timeSec);
  const text = TEXTS3[tongueOf(settings)];
  const right = parts.filter((one) => one.right).map(({ part }) => part);
  if (verdict === "right") return text.right(displayText(at3, settings.separator));
  if (right.includes("minute")) return text.minuteRight(talkOf(settings).where(hourHandDeg(at3)));
  if (right.includes("hour")) return `${text.hourRight} ${countOnceMore(at3, settings)}`;
  return settings.readingOrder === "minute-first" ? whereToBegin(at3, settings) : text.notYet;
}

// core/src/question-kinds/registry.ts
var QUESTION_KINDS = { "read-dial": readDial, "set-dial": setDial, "choose-all": chooseAll };
var QUESTION_KIND_IDS = Object.keys(QUESTION_KINDS);
function kindOf(of) {
  return QUESTION_KINDS[of.kind];
}

// core/src/question-kinds/spoken-answer.ts
function spokenAnswer(item, settings) {
  const kind = kindOf(item);
  return [.../* @__PURE__ */ new Set([...kind.reason(item, settings), kind.keySentence(item, settings)])].join(" ");
}

// core/src/beats/answer.ts
function narration(beat, { itemOf, settings }) {
  return spokenAnswer(itemOf(beat.itemId), settings);
}
var answerBeat = {
  name: "Answer",
  durationMs: (beat, context) => narrationMs(narration(beat, context), context.settings) + 3e3,
  narration,
  keeps: [],
  at(_before, beat, _elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    return kindOf(item).answered(item, settings);
  },
  motionMs: () => 0
};

// core/src/beats/ask.ts
var askBeat = {
  name: "Ask",
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 2e3,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, _elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    return kindOf(item).asked(item, settings);
  },
  motionMs: () => 0
};

// core/src/beats/mark.ts
var COUNT_STEP_MS = 700;
function countMs(beat) {
  const steps = beat.marks.map((mark) => mark.type === "count" ? Math.ceil(mark.toMinute / mark.by) : 0);
  return Math.max(0, ...steps) * COUNT_STEP_MS;
}
function grown(mark, elapsedMs) {
  if (mark.type !== "count") return mark;
  const toMinute = Math.min(mark.toMinute, Math.floor(elapsedMs / COUNT_STEP_MS) * mark.by);
  return { ...mark, toMinute };
}
var markBeat = {
  name: "Mark",
  durationMs: (beat, { settings }) => Math.max(narrationMs(beat.text, settings), countMs(beat)) + 800,
  narration: (beat) => beat.text,
  motionMs: (beat) => countMs(beat),
  keeps: ["dial", "dials", "dialPlace", "bands", "display", "words", "board"],
  at(before, beat, elapsedMs, { settings }) {
    const counted = elapsedMs >= countMs(beat);
    const write = counted ? beat.write : void 0;
    const display = write?.hour || write?.minute ? before.display ?? displayOf(null, null, settings.separator) : before.display;
    return {
      ...before,
      dial: before.dial && { ...before.dial, marks: beat.marks.map((mark) => grown(mark, elapsedMs)) },
      display: display && { ...display, hour: write?.hour ?? display.hour, minute: write?.minute ?? display.minute },
      words: write?.words ?? before.words,
      board: beat.board && counted ? [...before.board, beat.board] : before.board
    };
  }
};

// core/src/beats/say.ts
var sayBeat = {
  name: "Say",
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings),
  narration: (beat) => beat.text,
  keeps: ["dial", "dials", "dialPlace", "bands", "display", "words", "board"],
  at: (before) => before,
  motionMs: () => 0
};

// core/src/beats/set.ts
var merged = /* @__PURE__ */ new WeakMap();
function layersOf(partial) {
  if (!partial) return TEACHING_LAYERS;
  let layers = merged.get(partial);
  if (!layers) merged.set(partial, layers = { ...TEACHING_LAYERS, ...partial });
  return layers;
}
var setBeat = {
  name: "Set",
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 1e3,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, _elapsedMs, { settings }) {
    const time = toSecondOfDay(beat.timeSec);
    const full = beat.display === "full";
    return {
      ...CLEAR_STAGE,
      dial: dialOf(gearedPose(time), layersOf(beat.layers)),
      display: beat.display === "none" ? null : displayOf(full ? String(hour12(time)) : null, full ? minuteDigits(minuteOfHour(time)) : null, settings.separator),
      words: beat.words ? say(time, WORD_PACKS[settings.pack]) : []
    };
  },
  motionMs: () => 0
};

// core/src/scene/display-at.ts
function displayAt(display, at3) {
  const hour = display.of24 ? displayText24(at3).slice(0, 2) : String(hour12(at3));
  return {
    ...display,
    hour: display.hour === null ? null : hour,
    minute: display.minute === null ? null : minuteDigits(minuteOfHour(at3))
  };
}

// core/src/lesson/dial-build.ts
var NEW_BUILD = {
  formatVersion: 2,
  hands: "geared",
  timeSec: 8 * 3600,
  freePose: { hourDeg: 240, minuteDeg: 0 },
  layers: TEACHING_LAYERS,
  marks: [],
  display: "12h",
  separator: ":",
  covered: [],
  tied: true,
  words: "none",
  pack: "en-GB",
  bands: [],
  events: [
    { atSec: 7 * 3600 + 1800, text: "school ferry" },
    { atSec: 12 * 3600, text: "bread" },
    { atSec: 16 * 3600 + 1800, text: "mail boat" },
    { atSec: 20 * 3600, text: "lamp lit" }
  ],
  beside: [],
  place: 0
};
function poseOfBuild(build) {
  return build.hands === "geared" ? gearedPose(toSecondOfDay(build.timeSec)) : build.freePose;
}
function timeOfBuild(build) {
  return build.hands === "geared" ? toSecondOfDay(build.timeSec) : reportPose(build.freePose).nearest;
}
function placeOf2({ place, beside }) {
  return Math.min(place, beside.length);
}
function stageOfBuild(build) {
  const at3 = timeOfBuild(build);
  const showsTime = build.hands === "geared" || reportPose(build.freePose).possible;
  const dial2 = dialOf(poseOfBuild(build), build.layers, build.marks);
  return {
    ...CLEAR_STAGE,
    dial: build.layers.secondHand ? { ...dial2, secondDeg: secondOfMinute(at3) * 6 } : dial2,
    dials: build.beside.map(({ pose, layers, marks }) => dialOf(pose, layers, marks)),
    dialPlace: placeOf2(build),
    bands: build.bands.map((band) => bandOf(band, build, at3)),
    display: build.display !== "none" && showsTime ? displayOfBuild(build, at3) : null,
    words: build.words !== "none" && showsTime ? say(at3, WORD_PACKS[build.pack]).slice(0, build.words === "best" ? 1 : void 0) : []
  };
}
function displayOfBuild({ separator, covered, tied, display }, at3) {
  return displayAt({ ...displayOf("", "", separator), covered, plain: !tied, of24: display === "24h" }, at3);
}
var BANDS = {
  "hour-line-quarters": { type: "hour-line", hour: 12, by: 15, at: 0, jumps: [] },
  "hour-line-fives": { type: "hour-line", hour: 12, by: 5, at: 0, jumps: [] },
  "hour-line-ones": { type: "hour-line", hour: 12, by: 1, at: 0, jumps: [] },
  "day-line": { type: "day-line", atSec: 0, events: [] },
  "strip-quarters": { type: "fraction-strip", parts: 4, filled: 0 },
  "circle-quarters": { type: "fraction-circle", parts: 4, filled: 0 }
};
function bandOf(choice, { events, separator, pack }, at3) {
  const band = bandKindOf(BANDS[choice]).at(BANDS[choice], at3);
  return band.type === "day-line" ? { ...band, events, separator, tongue: WORD_PACKS[pack].tongue } : band;
}

// core/src/beats/show.ts
var showBeat = {
  name: "Show",
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 3e3,
  narration: (beat) => beat.text,
  keeps: [],
  at: (_before, beat) => stageOfBuild(beat.build),
  motionMs: () => 0
};

// core/src/beats/sweep.ts
var FAST_TURN_SECONDS = 20;
var COUNT_BY = { none: null, ones: 1, fives: 5, quarters: 15 };
function legsOf(beat, { settings }) {
  const forwards = beat.toSec >= beat.fromSec;
  const between = (sec) => forwards ? sec > beat.fromSec && sec <= beat.toSec : sec < beat.fromSec && sec >= beat.toSec;
  const stops = beat.stops.filter((stop) => between(stop.atSec)).sort((a, b) => forwards ? a.atSec - b.atSec : b.atSec - a.atSec);
  const legs = [];
  let at3 = beat.fromSec;
  const moveTo = (sec) => {
    if (sec !== at3) legs.push({ fromSec: at3, toSec: sec, ms: Math.abs(sec - at3) / 3600 * beat.turnSeconds * 1e3, prompt: null });
    at3 = sec;
  };
  for (const stop of stops) {
    moveTo(stop.atSec);
    legs.push({ fromSec: at3, toSec: at3, ms: narrationMs(stop.prompt, settings) + 1500, prompt: stop.prompt });
  }
  moveTo(beat.toSec);
  return legs;
}
var movingMs = (legs) => legs.reduce((sum, leg) => sum + leg.ms, 0);
function countMarks(beat, nowSec) {
  const by = beat.count === "ones" && beat.turnSeconds < FAST_TURN_SECONDS ? 5 : COUNT_BY[beat.count];
  const hourStart = Math.floor(beat.fromSec / 3600) * 3600;
  const minutes = (nowSec - hourStart) / 60;
  if (by === null || minutes < by || minutes > 60) return [];
  return [{ type: "count", toMinute: Math.floor(minutes / by) * by, by }];
}
var LONGEST_TRAIL_DEG = 48;
function trailOf(beat, nowSec) {
  const gone = (nowSec - beat.fromSec) / 10;
  const trail = Math.min(LONGEST_TRAIL_DEG, Math.abs(gone), 120 / beat.turnSeconds);
  return Math.sign(gone) * trail;
}
var sweepBeat = {
  name: "Sweep",
  durationMs: (beat, context) => Math.max(movingMs(legsOf(beat, context)), narrationMs(beat.text, context.settings)) + 1e3,
  narration: (beat) => [beat.text, ...beat.stops.map((stop) => stop.prompt)].filter(Boolean).join(" "),
  motionMs: (beat, context) => movingMs(legsOf(beat, context)),
  keeps: ["dial", "dials", "dialPlace", "bands", "display"],
  at(before, beat, elapsedMs, context) {
    const legs = legsOf(beat, context);
    let now = beat.fromSec;
    let left = elapsedMs;
    const board = [];
    for (const leg of legs) {
      if (leg.prompt) board.push(leg.prompt);
      const part = leg.ms === 0 ? 1 : Math.min(1, left / leg.ms);
      now = leg.fromSec + (leg.toSec - leg.fromSec) * part;
      left -= leg.ms;
      if (left < 0) break;
    }
    const fast = beat.turnSeconds < FAST_TURN_SECONDS;
    const moving = fast && left < 0;
    const stepSec = moving ? 300 : 60;
    const shown = wrapSecondOfDay(Math.floor(now / stepSec) * stepSec);
    const pose = { hourDeg: now % 43200 / 120, minuteDeg: now % 3600 / 10 };
    const stands = legs.length ? pose : gearedPose(toSecondOfDay(beat.fromSec));
    const dial2 = dialOf(stands, before.dial?.layers ?? TEACHING_LAYERS, countMarks(beat, now));
    return {
      ...before,
      dial: moving && now !== beat.fromSec ? { ...dial2, trailDeg: trailOf(beat, now) } : dial2,
      display: before.display && displayAt(before.display, shown),
      bands: before.bands.map((band) => bandKindOf(band).at(band, shown)),
      board
    };
  }
};

// core/src/beats/think.ts
var thinkBeat = {
  name: "Think",
  durationMs: (beat) => beat.seconds * 1e3,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    const totalMs = beat.seconds * 1e3;
    const leftMs = Math.min(totalMs, Math.max(0, totalMs - elapsedMs));
    return { ...kindOf(item).asked(item, settings), countdown: { totalMs, leftMs } };
  },
  motionMs: (beat) => beat.seconds * 1e3
};

// core/src/beats/registry.ts
var BEAT_KINDS = {
  say: sayBeat,
  set: setBeat,
  show: showBeat,
  sweep: sweepBeat,
  mark: markBeat,
  ask: askBeat,
  think: thinkBeat,
  answer: answerBeat
};
function beatKindOf(beat) {
  return BEAT_KINDS[beat.kind];
}

// core/src/lesson/explain.ts
function explain(at3, settings) {
  const reading = settings.readingOrder === "hour-first" ? [...explainHour(at3, settings), ...explainMinutes(at3, settings)] : [...explainMinutes(at3, settings), ...explainHour(at3, settings)];
  const layers = settings.betweenRule === "zone" ? { layers: ZONES } : {};
  const text = talkOf(settings).look;
  return [
    { step: "look", beat: { kind: "set", timeSec: at3, display: "empty", words: false, ...layers, text } },
    ...reading,
    ...explainLeft(at3, settings),
    explainWords(at3, settings)
  ];
}
var ZONES = { hourZones: true };
var marked = (step, beat) => ({ step, beat: { kind: "mark", ...beat } });
function explainHour(at3, settings) {
  const hour = hour12(at3);
  const talk = talkOf(settings);
  return [
    marked("hour-hand", {
      marks: [{ type: "hand", hand: "hour" }],
      text: talk.tells.hour,
      board: talk.board.hand(talk.where(hourHandDeg(at3)))
    }),
    marked("hour", {
      marks: [
        { type: "hand", hand: "hour" },
        { type: "numeral", numeral: hour }
      ],
      text: talk.shortHour(at3, settings.betweenRule),
      board: talk.board.hour(hour),
      write: { hour: String(hour) }
    })
  ];
}
function explainMinutes(at3, settings) {
  const minute = minuteOfHour(at3);
  const talk = talkOf(settings);
  return [
    marked("minute-hand", {
      marks: [{ type: "hand", hand: "minute" }],
      text: talk.tells.minute,
      board: talk.board.longHand
    }),
    marked("minutes", {
      marks: minute === 0 ? [{ type: "hand", hand: "minute" }] : [{ type: "count", toMinute: minute, by: minute < 5 ? 1 : 5 }],
      text: talk.shortMinutes(at3),
      board: minute === 0 ? talk.board.noMinutes : talk.minuteReason(at3),
      write: { minute: minuteDigits(minute) }
    })
  ];
}
function explainLeft(at3, settings) {
  if (minuteOfHour(at3) <= 30) return [];
  const talk = talkOf(settings);
  return [
    marked("left", {
      marks: [
        { type: "hand", hand: "minute" },
        { type: "numeral", numeral: nextHour12(hour12(at3)) }
      ],
      text: talk.left(at3),
      board: talk.board.left(at3)
    })
  ];
}
function explainWords(at3, settings) {
  const pack = WORD_PACKS[settings.pack];
  return marked("words", { marks: [], text: talkOf(settings).wordings(at3, pack), write: { words: say(at3, pack) } });
}

// core/src/lesson/step-ref.ts
var ONLY_STEP = "beat";

// core/src/lesson/prepare.ts
var FIRST_STAGE = { ...CLEAR_STAGE, dial: dialOf({ hourDeg: 0, minuteDeg: 0 }, TEACHING_LAYERS) };
function prepareLesson(lesson) {
  if (lesson.beats.length === 0) throw new CoreError("LESSON_EMPTY", `The lesson \u201C${lesson.title}\u201D has no beats.`);
  checkBeatIds(lesson);
  const context = { settings: lesson.settings, itemOf: itemFinder(lesson) };
  const asked = /* @__PURE__ */ new Set();
  const steps = [];
  let after = { stage: FIRST_STAGE, unrevealed: FIRST_STAGE, showsAnswerTo: null };
  let startMs = 0;
  lesson.beats.forEach((beat, beatIndex) => {
    checkOrder(beat, beatIndex, asked, context);
    const played = expandBeat(beat, lesson.settings);
    played.forEach(({ step, beat: play }, stepInBeat) => {
      const kind = beatKindOf(play);
      const durationMs = kind.durationMs(play, context);
      const before = keepOnStage(after.stage, kind.keeps);
      const beforeUnrevealed = keepOnStage(after.unrevealed, kind.keeps);
      const showsAnswerTo = kind.keeps.length > 0 ? after.showsAnswerTo : null;
      const ref = { beatId: beat.id, step };
      steps.push({
        ref,
        beatIndex,
        stepInBeat,
        stepsOfBeat: played.length,
        beat: play,
        before,
        beforeUnrevealed,
        showsAnswerTo,
        durationMs,
        startMs
      });
      const hidden = withoutAnswer(play);
      after = {
        stage: kind.at(before, play, Infinity, context),
        unrevealed: beatKindOf(hidden).at(beforeUnrevealed, hidden, Infinity, context),
        showsAnswerTo: play.kind === "answer" ? play.itemId : showsAnswerTo
      };
      startMs += durationMs;
    });
  });
  return { lesson, steps, context, totalMs: startMs };
}
function expandBeat(beat, settings) {
  return beat.kind === "worked-example" ? explain(toSecondOfDay(beat.timeSec), settings) : [{ step: ONLY_STEP, beat }];
}
function withoutAnswer(beat) {
  return beat.kind === "answer" ? { kind: "ask", itemId: beat.itemId, text: "" } : beat;
}
function stepIndex({ lesson, steps }, { beatId, step }) {
  const exact = steps.findIndex(({ ref }) => ref.beatId === beatId && ref.step === step);
  const found = exact >= 0 ? exact : steps.findIndex(({ ref }) => ref.beatId === beatId);
  if (found < 0) throw new CoreError("ROOM_POSITION_RANGE", `The lesson \u201C${lesson.title}\u201D has no beat \u201C${beatId}\u201D.`);
  return found;
}
function itemFinder(lesson) {
  const byId = /* @__PURE__ */ new Map();
  for (const item of lesson.items) {
    if (byId.has(item.id)) throw new CoreError("LESSON_ITEM_TWICE", `Two items of \u201C${lesson.title}\u201D carry the id \u201C${item.id}\u201D.`);
    byId.set(item.id, item);
  }
  return (id) => {
    const item = byId.get(id);
    if (!item) throw new CoreError("LESSON_ITEM_UNKNOWN", `The lesson \u201C${lesson.title}\u201D has no item \u201C${id}\u201D.`);
    return item;
  };
}
function checkBeatIds({ title, beats }) {
  const seen = /* @__PURE__ */ new Set();
  for (const { id } of beats) {
    if (seen.has(id)) throw new CoreError("LESSON_BEAT_TWICE", `Two beats of \u201C${title}\u201D carry the id \u201C${id}\u201D.`);
    seen.add(id);
  }
}
function checkOrder(beat, beatIndex, asked, context) {
  if (!("itemId" in beat)) return;
  context.itemOf(beat.itemId);
  if (beat.kind === "ask") asked.add(beat.itemId);
  else if (!asked.has(beat.itemId)) {
    throw new CoreError("LESSON_BEAT_ORDER", `Beat ${beatIndex + 1} (${beat.kind}) comes before the ask beat of item \u201C${beat.itemId}\u201D.`);
  }
}

// core/src/lesson/draft/situations.ts
var at2 = (from, to, en, de2) => ({ hours: [from, to], says: { en, de: de2 } });
var SITUATIONS = [
  at2(5, 7, "The baker lights the oven", "Die B\xE4ckerin heizt den Ofen an"),
  at2(6, 8, "The rooster at the pier crows", "Der Hahn am Anleger kr\xE4ht"),
  at2(6, 8, "The lamp at the harbour light goes out", "Das Licht am Hafen geht aus"),
  at2(6, 8, "Anouk gets up", "Anouk steht auf"),
  at2(6, 8, "The fishing boat comes in", "Das Fischerboot kommt herein"),
  at2(6, 8, "Bashir has breakfast", "Bashir fr\xFChst\xFCckt"),
  at2(7, 8, "The school ferry leaves the north island", "Die Schulf\xE4hre legt auf der Nordinsel ab"),
  at2(7, 9, "Ceri feeds the sheep", "Ceri f\xFCttert die Schafe"),
  at2(7, 9, "The tide gauge is read", "Der Wasserstand wird abgelesen"),
  at2(8, 9, "School begins", "Die Schule f\xE4ngt an"),
  at2(8, 9, "The bell at the jetty rings", "Die Glocke am Steg l\xE4utet"),
  at2(8, 10, "The bakery boat brings the bread", "Das B\xE4ckerboot bringt das Brot"),
  at2(8, 11, "The puffin count starts", "Das Z\xE4hlen der Papageitaucher beginnt"),
  at2(9, 11, "Choir by video begins", "Der Chor \xFCber Video beginnt"),
  at2(9, 11, "The mail boat comes", "Das Postboot kommt"),
  at2(9, 11, "Dov waters the school garden", "Dov gie\xDFt den Schulgarten"),
  at2(9, 12, "The nets are hung up to dry", "Die Netze werden zum Trocknen aufgeh\xE4ngt"),
  at2(10, 11, "The long break begins", "Die gro\xDFe Pause beginnt"),
  at2(10, 12, "The library boat stops at the pier", "Das B\xFCcherboot h\xE4lt am Anleger"),
  at2(10, 12, "Elin reads the thermometer", "Elin liest das Thermometer ab"),
  at2(10, 13, "The seals lie on the rocks", "Die Robben liegen auf den Felsen"),
  at2(11, 12, "Femi sets the table", "Femi deckt den Tisch"),
  at2(11, 13, "The weather report comes", "Der Wetterbericht kommt"),
  at2(12, 13, "Lunch is on the table", "Das Mittagessen steht auf dem Tisch"),
  at2(12, 13, "The harbour cat gets her fish", "Die Hafenkatze bekommt ihren Fisch"),
  at2(12, 14, "The noon ferry leaves", "Die Mittagsf\xE4hre f\xE4hrt ab"),
  at2(12, 14, "High tide reaches the steps", "Das Hochwasser erreicht die Stufen"),
  at2(13, 14, "School is over", "Die Schule ist aus"),
  at2(13, 15, "The school ferry goes home", "Die Schulf\xE4hre f\xE4hrt nach Hause"),
  at2(13, 16, "Gita practises the accordion", "Gita \xFCbt Akkordeon"),
  at2(13, 16, "Hamza paints his boat", "Hamza streicht sein Boot"),
  at2(14, 16, "The doctor\u2019s boat comes", "Das Boot der \xC4rztin kommt"),
  at2(14, 16, "Inka collects shells", "Inka sammelt Muscheln"),
  at2(14, 16, "The shop at the pier opens again", "Der Laden am Anleger \xF6ffnet wieder"),
  at2(14, 17, "Jory flies his kite", "Jory l\xE4sst seinen Drachen steigen"),
  at2(14, 17, "The sheep are moved to the other meadow", "Die Schafe kommen auf die andere Wiese"),
  at2(15, 16, "Kaia has her swimming lesson", "Kaia hat Schwimmunterricht"),
  at2(15, 17, "Low tide lets us walk across", "Bei Niedrigwasser k\xF6nnen wir hin\xFCbergehen"),
  at2(15, 17, "The mail boat leaves", "Das Postboot f\xE4hrt ab"),
  at2(15, 18, "Leif calls his grandmother", "Leif ruft seine Gro\xDFmutter an"),
  at2(16, 17, "The drum group meets", "Die Trommelgruppe trifft sich"),
  at2(16, 18, "Mirela mends a net", "Mirela flickt ein Netz"),
  at2(16, 18, "The wind turbine is checked", "Das Windrad wird gepr\xFCft"),
  at2(16, 18, "Noor milks the goat", "Noor melkt die Ziege"),
  at2(16, 19, "The rowing race starts", "Das Ruderrennen beginnt"),
  at2(17, 18, "The shop at the pier closes", "Der Laden am Anleger schlie\xDFt"),
  at2(17, 19, "Oskar cooks soup", "Oskar kocht Suppe"),
  at2(17, 19, "The hens go into their house", "Die H\xFChner gehen in ihren Stall"),
  at2(17, 19, "Pia feeds the rabbits", "Pia f\xFCttert die Kaninchen"),
  at2(17, 19, "The evening ferry arrives", "Die Abendf\xE4hre kommt an"),
  at2(18, 19, "Supper is ready", "Das Abendessen ist fertig"),
  at2(18, 20, "The island radio plays a story", "Das Inselradio bringt eine Geschichte"),
  at2(18, 20, "Quill brushes her teeth", "Quill putzt sich die Z\xE4hne"),
  at2(18, 20, "The nets are taken down", "Die Netze werden abgenommen"),
  at2(18, 20, "Runa reads in bed", "Runa liest im Bett"),
  at2(19, 20, "The lamp at the harbour light is lit", "Das Licht am Hafen wird angez\xFCndet"),
  at2(19, 20, "Sami goes to bed", "Sami geht ins Bett"),
  at2(19, 21, "The bats fly out of the old mill", "Die Flederm\xE4use fliegen aus der alten M\xFChle"),
  at2(19, 21, "The stars come out over the bay", "\xDCber der Bucht kommen die Sterne heraus"),
  at2(20, 22, "The night ferry leaves", "Die Nachtf\xE4hre f\xE4hrt ab"),
  at2(20, 22, "The harbour goes quiet", "Im Hafen wird es still"),
  at2(21, 23, "The owl calls at the chapel", "An der Kapelle ruft die Eule")
];
function situationsAt(hour) {
  return SITUATIONS.filter(({ hours: [from, to] }) => hour >= from && hour <= to);
}

// core/src/lesson/draft/texts.ts
var capital = (words) => `${words[0].toUpperCase()}${words.slice(1)}`;
var DRAFT_TEXTS = {
  en: {
    title: (topic, minutes) => `${capital(topic)}, ${minutes} minutes`,
    goal: (topic) => `Read and set ${topic}.`,
    hello: "Good morning. Have your clock ready, and look at mine.",
    parts: "The short hand tells the hour, the long hand tells the minutes. The numerals go from 1 round to 12.",
    recall: (topic) => `Last time: ${topic}. Let us see whether we still know it.`,
    today: (topic, criteria) => `Today: ${topic}. ${criteria.join(" ")}`,
    from: (hour) => `Here it is ${hour} o\u2019clock: the long hand is on 12, the short hand points at ${hour}.`,
    watch: "Now the time goes on. Count with me, and watch the short hand.",
    look: "Look at the short hand: has it moved?",
    seen: (words) => `Now it is ${words}. See where each hand stands.`,
    examples: "I read some clocks for you. Think along with me.",
    tricky: "This one is tricky. Look closely.",
    turns: ["Your turn. What does this clock say?", "And this one? Write it on your desk.", "Read this clock."],
    setTurns: ["The other way round now. Turn the hands of your clock.", "Set your clock to this time.", "Now you set the hands."],
    thinks: ["Think first, then answer.", "Take your time.", "Look at both hands."],
    stops: "Stop the recording here and think. Go on when you have answered.",
    mistakes: "Somebody has mixed these up. Look at each one by itself.",
    happens: (situation) => `${situation}. The clock shows when.`,
    happensAt: (situation, words) => `${situation}: ${words}. Set your clock.`,
    exit: "Before we stop: show what you know now.",
    end: (next) => next ? `Well done. Next time: ${next}.` : "Well done. You can read every clock now."
  },
  de: {
    title: (topic, minutes) => `${capital(topic)}, ${minutes} Minuten`,
    goal: (topic) => `Lesen und einstellen: ${topic}.`,
    hello: "Guten Morgen. Legt eure Uhr bereit und schaut auf meine.",
    parts: "Der kurze Zeiger zeigt die Stunde, der lange die Minuten. Die Zahlen gehen von der 1 herum bis zur 12.",
    recall: (topic) => `Letztes Mal: ${topic}. Mal sehen, ob wir es noch wissen.`,
    today: (topic, criteria) => `Heute: ${topic}. ${criteria.join(" ")}`,
    from: (hour) => `Hier ist es ${hour} Uhr: Der lange Zeiger steht auf der 12, der kurze auf der ${hour}.`,
    watch: "Jetzt geht die Zeit weiter. Z\xE4hlt mit und schaut auf den kurzen Zeiger.",
    look: "Schaut auf den kurzen Zeiger: Hat er sich bewegt?",
    seen: (words) => `Jetzt ist es ${words}. Schaut, wo jeder Zeiger steht.`,
    examples: "Ich lese euch ein paar Uhren vor. Denkt mit.",
    tricky: "Diese ist knifflig. Schaut genau hin.",
    turns: ["Jetzt du. Was zeigt diese Uhr?", "Und diese? Schreib es auf deinen Tisch.", "Lies diese Uhr."],
    setTurns: ["Jetzt andersherum. Dreh die Zeiger deiner Uhr.", "Stell deine Uhr auf diese Zeit.", "Jetzt stellst du die Zeiger."],
    thinks: ["Erst denken, dann antworten.", "Lass dir Zeit.", "Schau auf beide Zeiger."],
    stops: "Halte die Aufnahme hier an und denk nach. Geh weiter, wenn du geantwortet hast.",
    mistakes: "Hier hat jemand etwas verwechselt. Schau dir jede einzeln an.",
    happens: (situation) => `${situation}. Die Uhr zeigt, wann.`,
    happensAt: (situation, words) => `${situation}: ${words}. Stell deine Uhr.`,
    exit: "Bevor wir aufh\xF6ren: Zeig, was du jetzt kannst.",
    end: (next) => next ? `Gut gemacht. N\xE4chstes Mal: ${next}.` : "Gut gemacht. Du kannst jetzt jede Uhr lesen."
  }
};

// core/src/lesson/draft/time-picker.ts
var NEW_PART = 0.75;
var MOST_DRAWS = 24;
var TimePicker = class {
  constructor(rung, rng) {
    this.rung = rung;
    this.rng = rng;
  }
  rung;
  rng;
  used = [];
  /** A time that was chosen already, the tricky ones for one. */
  use(at3) {
    this.used.push(at3);
    return at3;
  }
  /** The next time: within some hours of the day, 0 to 23, and about what is new on the rung, where that matters. */
  next({ hours, isNew } = {}) {
    const wantsNew = isNew ?? this.rng() < NEW_PART;
    const draws = Array.from({ length: MOST_DRAWS }, () => this.draw(hours, wantsNew));
    const costs = draws.map((at3) => this.cost(at3));
    return this.use(draws[costs.indexOf(Math.min(...costs))]);
  }
  draw([from, to] = [7, 18], isNew = true) {
    const { newMinutes, minutes } = this.rung;
    const minute = oneOf(isNew ? newMinutes : minutes, this.rng);
    return secondOfDay(from + Math.floor(this.rng() * (to - from + 1)), minute);
  }
  /** How little a time would add: it was asked before, or lately the same hour, the same minutes or the same half of the dial. */
  cost(at3) {
    const onDial2 = at3 % SECONDS_PER_HALF_DAY;
    const hourOf = (time) => Math.floor(time % SECONDS_PER_HALF_DAY / 3600);
    return this.used.reduce((sum, before, index) => {
      const recent = 1 / (this.used.length - index);
      const isSame = before % SECONDS_PER_HALF_DAY === onDial2;
      const isSameHour = hourOf(before) === hourOf(at3);
      const isSameMinute = this.rung.newMinutes.length > 2 && minuteOfHour(before) === minuteOfHour(at3);
      const isSameSide = hourOf(before) < 6 === hourOf(at3) < 6;
      return sum + (isSame ? 4 + 20 * recent : 0) + (isSameHour ? 3 * recent + 0.4 : 0) + (isSameMinute ? recent : 0) + (isSameSide ? 0.3 * recent : 0);
    }, 0);
  }
};

// core/src/lesson/draft/draft.ts
var TOLERANCE = 0.05;
var MOST_EXTRAS = 70;
var STRETCH = [0.6, 1.7];
var THINK_SECONDS = { "read-dial": 18, "set-dial": 26, "choose-all": 34 };
var THINK_SECONDS_A_RUNG = 2;
function draftLesson(wish) {
  const targetMs = wish.minutes * 6e4;
  const made = /* @__PURE__ */ new Map();
  const at3 = (extras) => {
    let known = made.get(extras);
    if (!known) {
      const lesson = new Drafting(wish).lesson(extras);
      made.set(extras, known = { lesson, totalMs: prepareLesson(lesson).totalMs });
    }
    return known;
  };
  let [tooShort, longEnough] = [-1, MOST_EXTRAS];
  while (longEnough - tooShort > 1) {
    const middle = Math.floor((tooShort + longEnough) / 2);
    if (at3(middle).totalMs < targetMs) tooShort = middle;
    else longEnough = middle;
  }
  const near = [longEnough, tooShort, longEnough + 1].filter((extras) => extras >= 0).map((extras) => at3(extras));
  const fits = near.map(({ lesson, totalMs }) => fitted(lesson, totalMs, targetMs));
  const cost = ({ offMs, stretch }) => offMs / targetMs > TOLERANCE ? 10 + offMs / targetMs : Math.abs(Math.log(stretch));
  return fits.reduce((best, one) => cost(one) < cost(best) ? one : best).lesson;
}
function fitted(lesson, totalMs, targetMs) {
  const thinkMs = thinkMsOf(lesson);
  const stretch = Math.min(STRETCH[1], Math.max(STRETCH[0], (targetMs - totalMs + thinkMs) / thinkMs));
  const beats = lesson.beats.map(
    (beat) => beat.kind === "think" ? { ...beat, seconds: Math.max(8, Math.round(beat.seconds * stretch)) } : beat
  );
  const changed = { ...lesson, beats };
  return { lesson: changed, stretch, offMs: Math.abs(totalMs - thinkMs + thinkMsOf(changed) - targetMs) };
}
var thinkMsOf = ({ beats }) => beats.reduce((sum, beat) => sum + (beat.kind === "think" ? beat.seconds * 1e3 : 0), 0);
var Drafting = class {
  constructor(wish) {
    this.wish = wish;
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.times = new TimePicker(this.rung, this.rng);
  }
  wish;
  rng;
  texts;
  rung;
  times;
  beats = [];
  items = [];
  /** @param extras how many parts more than the shortest lesson has */
  lesson(extras) {
    const { texts: texts2, rung, wish } = this;
    const tongue = tongueOf(wish.settings);
    const part = this.sharesOf(extras);
    this.recall();
    this.say(texts2.today(rung.topic[tongue], rung.criteria[tongue]));
    this.demonstrate();
    this.say(texts2.examples);
    this.example(this.times.next({ isNew: true }));
    for (let index = 0; index < part.examples; index++) this.trickyExample(index);
    this.turn("read-dial", this.times.next({ isNew: true }));
    for (let index = 0; index < part.turns; index++) this.turn(index % 2 === 0 ? "set-dial" : "read-dial");
    for (let index = 0; index < part.mistakes; index++) this.mistake();
    for (let index = 0; index < part.uses; index++) this.use(index);
    this.say(texts2.exit);
    this.turn("set-dial", this.times.next({ isNew: true }));
    if (extras > 2) this.turn("read-dial", this.times.next({ isNew: true }));
    this.say(texts2.end(this.nextTopic()));
    return {
      format: "zeitpunkt-lesson",
      formatVersion: 3,
      title: texts2.title(rung.topic[tongue], wish.minutes),
      goal: texts2.goal(rung.topic[tongue]),
      successCriteria: rung.criteria[tongue],
      targetMinutes: wish.minutes,
      settings: wish.settings,
      items: this.items,
      beats: this.beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }))
    };
  }
  /** How many of each part so many extras are: first an example, then turns, uses and mistakes in turn. */
  sharesOf(extras) {
    const order = ["examples", "turns", "uses", "mistakes", "turns", "uses", "examples", "turns"];
    const shares = { examples: 0, turns: 0, uses: 0, mistakes: 0 };
    for (let index = 0; index < extras; index++) shares[order[index % order.length]] += 1;
    return shares;
  }
  recall() {
    this.say(this.texts.hello);
    const before = this.rung.after;
    if (before === null) return this.say(this.texts.parts);
    this.say(this.texts.recall(RUNGS[before].topic[tongueOf(this.wish.settings)]));
    this.ask({ kind: "read-dial", timeSec: new TimePicker(RUNGS[before], this.rng).next() }, oneOf(this.texts.turns, this.rng));
  }
  /** From the full hour on to what is new, with a stop on the way to look at the short hand. */
  demonstrate() {
    const { texts: texts2, rung, wish } = this;
    const hour = oneOf([2, 4, 8, 10], this.rng);
    const minute = rung.newMinutes.at(-1) || 60;
    const [fromSec, toSec] = [hour * 3600, hour * 3600 + minute * 60];
    this.beats.push({ kind: "set", timeSec: fromSec, display: "full", words: true, text: texts2.from(hour) });
    const stopSec = fromSec + Math.round(minute / 2 / 5) * 300;
    const stops = stopSec > fromSec && stopSec < toSec ? [{ atSec: stopSec, prompt: texts2.look }] : [];
    const count = minute % 5 === 0 ? "fives" : "ones";
    this.beats.push({ kind: "sweep", fromSec, toSec, turnSeconds: 24, count, stops, text: texts2.watch });
    const words = bestWording(secondOfDay(hour + (minute === 60 ? 1 : 0), minute % 60), WORD_PACKS[wish.settings.pack]);
    this.beats.push({
      kind: "mark",
      marks: [
        { type: "hand", hand: "hour" },
        { type: "hand", hand: "minute" }
      ],
      text: texts2.seen(words)
    });
  }
  example(at3) {
    this.beats.push({ kind: "worked-example", timeSec: at3 });
  }
  trickyExample(index) {
    const tricky = this.rung.tricky[index];
    if (!tricky) return this.example(this.times.next());
    this.say(this.texts.tricky);
    this.example(this.times.use(secondOfDay(tricky.hour % 12, tricky.minute)));
  }
  turn(kind, at3 = this.times.next(), text) {
    if (kind === "read-dial") return this.ask({ kind, timeSec: at3 }, text ?? oneOf(this.texts.turns, this.rng));
    const hands = this.items.some((item) => item.kind === "set-dial") && this.rng() < 0.5 ? "free" : "geared";
    this.ask({ kind, timeSec: at3, from: oneOf(["words", "display"], this.rng), hands }, text ?? oneOf(this.texts.setTurns, this.rng));
  }
  mistake() {
    const { id: _id, ...item } = makeChooseAll("", this.rng, this.rung, this.wish.settings);
    this.ask(item, this.texts.mistakes);
  }
  /** Something of the day on the islands, at an hour at which it happens. */
  use(index) {
    const { texts: texts2, wish } = this;
    const { hours } = oneOf(SITUATIONS, this.rng);
    const at3 = this.times.next({ hours });
    const fitting = situationsAt(hour24(at3));
    const situation = oneOf(fitting, this.rng).says[tongueOf(wish.settings)];
    const words = bestWording(at3, WORD_PACKS[wish.settings.pack]);
    if (index % 2 === 0) this.turn("read-dial", at3, texts2.happens(situation));
    else this.ask({ kind: "set-dial", timeSec: at3, from: "words", hands: "geared" }, texts2.happensAt(situation, words));
  }
  ask(item, text) {
    const itemId = `q${this.items.length + 1}`;
    const asked = { ...item, id: itemId };
    this.items.push(asked);
    const seconds = THINK_SECONDS[item.kind] + THINK_SECONDS_A_RUNG * RUNG_IDS.indexOf(this.wish.rung);
    const think = this.wish.delivery === "recorded" ? this.texts.stops : oneOf(this.texts.thinks, this.rng);
    this.beats.push({ kind: "ask", itemId, text }, { kind: "think", itemId, seconds, text: think }, { kind: "answer", itemId });
  }
  say(text) {
    this.beats.push({ kind: "say", text });
  }
  nextTopic() {
    const next = RUNG_IDS.find((id) => RUNGS[id].after === this.wish.rung);
    return next ? RUNGS[next].topic[tongueOf(this.wish.settings)] : null;
  }
};

// core/src/lesson/player.ts
function stepAt(prepared, at3) {
  return prepared.steps[stepIndex(prepared, at3)];
}
function narrationAt(prepared, at3) {
  const { beat } = stepAt(prepared, at3);
  return beatKindOf(beat).narration(beat, prepared.context);
}

// core/src/tmp-draft.ts
for (const rung of ["half-past", "five-minutes", "any-minute"]) for (const minutes of [5, 20, 40]) {
  const t = performance.now();
  const l = draftLesson({ rung, minutes, delivery: "live", settings: DEFAULT_SETTINGS, seed: 3 });
  const ms = performance.now() - t;
  const p = prepareLesson(l);
  console.log(rung, minutes, ms.toFixed(0) + " ms", (p.totalMs / 6e4).toFixed(2), l.beats.length, l.items.length, l.beats.filter((b) => b.kind === "think").map((b) => b.seconds).join(" "));
  if (minutes === 20 && rung === "five-minutes") for (const s of p.steps) console.log("   ", s.beat.kind, narrationAt(p, s.ref).slice(0, 110));
}
//# sourceMappingURL=tmp-draft.mjs.map
