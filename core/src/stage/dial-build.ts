import { gearedPose, type HandId, type Pose, turnFree, turnGeared } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import type { Band } from '../scene/bands/band.js';
import { bandKindOf } from '../scene/bands/registry.js';
import { dialOf, TEACHING_LAYERS, type DialLayers, type DialMark } from '../scene/dial-state.js';
import { CLEAR_STAGE, displayOf, type StageState } from '../scene/stage-state.js';
import type { DayEvent } from '../series/day-events.js';
import { displayAt } from '../scene/display-at.js';
import type { DisplaySeparator } from '../time/display.js';
import { SECONDS_PER_HALF_DAY, secondOfMinute, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS, type WordPackId } from '../words/registry.js';
import { say } from '../words/say.js';

/** A demonstration as a teacher builds it on the dial: the hands and what is switched on beside them. */
export interface DialBuild {
  /** Version of this format; see formats/dial-build. */
  readonly formatVersion: 2;
  readonly hands: 'geared' | 'free';
  /** The time of geared hands, in seconds since midnight. */
  readonly timeSec: number;
  /** Where free hands stand; kept while they are geared. */
  readonly freePose: Pose;
  readonly layers: DialLayers;
  readonly marks: readonly DialMark[];
  readonly display: 'none' | '12h' | '24h';
  readonly separator: DisplaySeparator;
  /** Digits covered, 0 to 3 from the left. */
  readonly covered: readonly number[];
  /** Digits in the colours of the hands. */
  readonly tied: boolean;
  readonly words: 'none' | 'best' | 'all';
  readonly pack: WordPackId;
  readonly bands: readonly BandChoice[];
  readonly events: readonly DayEvent[];
  /** Dials beside this one, each as it was when it was set aside. */
  readonly beside: readonly BesideDial[];
  /** How many of the dials beside stand before this one. */
  readonly place: number;
}

/** A dial that was set aside; it can be taken up again. */
export interface BesideDial {
  readonly pose: Pose;
  readonly layers: DialLayers;
  readonly marks: readonly DialMark[];
}

/** A line or strip under the dial; what it shows follows the hands. */
export type BandChoice = 'hour-line-quarters' | 'hour-line-fives' | 'hour-line-ones' | 'day-line' | 'strip-quarters' | 'circle-quarters';

export const BAND_CHOICES: Readonly<Record<BandChoice, string>> = {
  'hour-line-quarters': 'Hour line, quarters',
  'hour-line-fives': 'Hour line, fives',
  'hour-line-ones': 'Hour line, ones',
  'day-line': 'Day line',
  'strip-quarters': 'Fraction strip',
  'circle-quarters': 'Fraction circle',
};

export const MOST_BANDS = 2;
export const MOST_BESIDE = 7;

export const NEW_BUILD: DialBuild = {
  formatVersion: 2,
  hands: 'geared',
  timeSec: 8 * 3600,
  freePose: { hourDeg: 240, minuteDeg: 0 },
  layers: TEACHING_LAYERS,
  marks: [],
  display: '12h',
  separator: ':',
  covered: [],
  tied: true,
  words: 'none',
  pack: 'en-GB',
  bands: [],
  events: [
    { atSec: 7 * 3600 + 1800, text: 'school ferry' },
    { atSec: 12 * 3600, text: 'bread' },
    { atSec: 16 * 3600 + 1800, text: 'mail boat' },
    { atSec: 20 * 3600, text: 'lamp lit' },
  ],
  beside: [],
  place: 0,
};

/** Where the hands of a build stand. */
export function poseOfBuild(build: DialBuild): Pose {
  return build.hands === 'geared' ? gearedPose(toSecondOfDay(build.timeSec)) : build.freePose;
}

/** The time that a build shows: that of the gears, or the nearest one to free hands. */
export function timeOfBuild(build: DialBuild): SecondOfDay {
  return build.hands === 'geared' ? toSecondOfDay(build.timeSec) : reportPose(build.freePose).nearest;
}

/** The build with its time set; free hands go there too. */
export const setTime =
  (timeSec: SecondOfDay) =>
  (build: DialBuild): DialBuild => ({ ...build, timeSec, freePose: gearedPose(timeSec) });

/** The build with a hand turned by some degrees, clockwise positive. */
export const turnHand =
  (hand: HandId, byDeg: number) =>
  (build: DialBuild): DialBuild =>
    build.hands === 'geared'
      ? setTime(turnGeared(toSecondOfDay(build.timeSec), hand, byDeg))(build)
      : { ...build, freePose: turnFree(build.freePose, hand, byDeg) };

/** Free hands begin where the geared ones stand. */
export const freeHands = (build: DialBuild): DialBuild => ({ ...build, hands: 'free', freePose: poseOfBuild(build) });

/** Free hands let go into gear: they snap to the nearest possible time. */
export const letGoIntoGear = (build: DialBuild): DialBuild => setTime(timeOfBuild(build))({ ...build, hands: 'geared' });

/** The build with its dial set aside, and the same dial after it to go on with, without marks. */
export const setAside = (build: DialBuild): DialBuild => {
  if (build.beside.length >= MOST_BESIDE) return build;
  const place = placeOf(build);
  return { ...build, beside: inserted(build.beside, place, atHand(build)), place: place + 1, marks: [] };
};

/**
 * The build with another of its dials at hand; all stay where they stand.
 * @param index place among all dials, 0 or more; the one at hand already, or none, changes nothing
 */
export const takeUp =
  (index: number) =>
  (build: DialBuild): DialBuild => {
    const place = placeOf(build);
    const all = inserted(build.beside, place, atHand(build));
    const taken = all[index];
    return !taken || index === place ? build : { ...withAtHand(build, taken), beside: without(all, index), place: index };
  };

/** The build without the dial at hand; the next one is at hand then. The last dial stays. */
export const takeAway = (build: DialBuild): DialBuild => {
  const next = Math.min(placeOf(build), build.beside.length - 1);
  const taken = build.beside[next];
  return taken ? { ...withAtHand(build, taken), beside: without(build.beside, next), place: next } : build;
};

/** Where the dial at hand stands among all, from 0. */
export function placeOf({ place, beside }: DialBuild): number {
  return Math.min(place, beside.length);
}

const inserted = (all: readonly BesideDial[], place: number, one: BesideDial) => [...all.slice(0, place), one, ...all.slice(place)];
const without = (all: readonly BesideDial[], place: number) => all.filter((_, index) => index !== place);
const atHand = (build: DialBuild): BesideDial => ({ pose: poseOfBuild(build), layers: build.layers, marks: build.marks });

/** Geared where the dial shows a time, in the half of the day of the dial before; free where it shows none. */
function withAtHand(build: DialBuild, { pose, layers, marks }: BesideDial): DialBuild {
  const { possible, nearest } = reportPose(pose);
  const timeSec = possible
    ? (nearest % SECONDS_PER_HALF_DAY) + (build.timeSec < SECONDS_PER_HALF_DAY ? 0 : SECONDS_PER_HALF_DAY)
    : build.timeSec;
  return { ...build, hands: possible ? 'geared' : 'free', timeSec, freePose: pose, layers, marks };
}

/** A band switched on or off; a third one pushes the oldest out. */
export const switchBand =
  (band: BandChoice) =>
  (build: DialBuild): DialBuild => ({
    ...build,
    bands: build.bands.includes(band) ? build.bands.filter((one) => one !== band) : [...build.bands, band].slice(-MOST_BANDS),
  });

/** Stands where the words stood while the hands can be no time. */
const NO_WORDS = '–';

/**
 * What a build looks like on the stage. While free hands can be no time, the display is empty and a dash stands for the words:
 * there is nothing to tell, and the dial stays where it is under the hand that turns it.
 */
export function stageOfBuild(build: DialBuild): StageState {
  const at = timeOfBuild(build);
  const showsTime = build.hands === 'geared' || reportPose(build.freePose).possible;
  const dial = dialOf(poseOfBuild(build), build.layers, build.marks);
  return {
    ...CLEAR_STAGE,
    dial: build.layers.secondHand ? { ...dial, secondDeg: secondOfMinute(at) * 6 } : dial,
    dials: build.beside.map(({ pose, layers, marks }) => dialOf(pose, layers, marks)),
    dialPlace: placeOf(build),
    bands: build.bands.map((band) => bandOfChoice(band, build, at)),
    display: build.display === 'none' ? null : displayOfBuild(build, showsTime ? at : null),
    words:
      build.words === 'none'
        ? []
        : showsTime
          ? say(at, WORD_PACKS[build.pack]).slice(0, build.words === 'best' ? 1 : undefined)
          : [NO_WORDS],
  };
}

function displayOfBuild({ separator, covered, tied, display }: DialBuild, at: SecondOfDay | null): NonNullable<StageState['display']> {
  const empty = { ...displayOf(null, null, separator), plain: !tied, of24: display === '24h' };
  return at === null ? empty : displayAt({ ...empty, hour: '', minute: '', covered }, at);
}

const BANDS: Readonly<Record<BandChoice, Band>> = {
  'hour-line-quarters': { type: 'hour-line', hour: 12, by: 15, at: 0, jumps: [] },
  'hour-line-fives': { type: 'hour-line', hour: 12, by: 5, at: 0, jumps: [] },
  'hour-line-ones': { type: 'hour-line', hour: 12, by: 1, at: 0, jumps: [] },
  'day-line': { type: 'day-line', atSec: 0, events: [] },
  'strip-quarters': { type: 'fraction-strip', parts: 4, filled: 0 },
  'circle-quarters': { type: 'fraction-circle', parts: 4, filled: 0 },
};

/** A line or strip as it is at a time, in words and signs of a school. */
export function bandOfChoice(
  choice: BandChoice,
  { events, separator, pack }: Pick<DialBuild, 'events' | 'separator' | 'pack'>,
  at: SecondOfDay,
): Band {
  const band = bandKindOf(BANDS[choice]).at(BANDS[choice], at);
  return band.type === 'day-line' ? { ...band, events, separator, tongue: WORD_PACKS[pack].tongue } : band;
}
