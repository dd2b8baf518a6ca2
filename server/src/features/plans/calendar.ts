import { PARTS } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { plannedLessons } from '@zeitpunkt/core/series/series';
import ICAL from 'ical.js';

/** What is known of a planned lesson beside its day. */
export interface CalendarLesson {
  readonly title: string;
  readonly goal: string;
}

/** A whole day that a calendar file names. */
export interface CalendarDay {
  readonly date: IsoDate;
  readonly name: string;
}

/** Days that a file gives, in order, and entries that are none, with why. */
export interface CalendarRead {
  readonly days: readonly CalendarDay[];
  readonly left: readonly { readonly name: string; readonly why: string }[];
}

/** So often entries that come again are followed, all together. */
const MOST_TIMES = 40_000;
const LONGEST_NAME = 120;

/**
 * The planned lessons of a class as an iCalendar file: whole days, since a plan knows no times of day.
 * Source: RFC 5545.
 */
export function calendarOf(plan: ClassPlan, className: string, lessonOf: (id: string) => CalendarLesson | null, atMs: number): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Zeitpunkt//Lessons//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  for (const { date, lessonId } of plannedLessons(plan)) {
    const lesson = lessonOf(lessonId);
    if (!lesson) continue;
    const event = new ICAL.Component('vevent');
    // The same lesson of the series keeps its entry when a day off moves it.
    event.updatePropertyWithValue('uid', `${lessonId}@zeitpunkt.invalid`);
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(atMs), true));
    event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(date));
    event.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(daysOn(date, 1)));
    event.updatePropertyWithValue('summary', `${className}: ${lesson.title}`);
    if (lesson.goal) event.updatePropertyWithValue('description', lesson.goal);
    event.updatePropertyWithValue('transp', 'TRANSPARENT');
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

/**
 * The whole days of a calendar file within a time: days off, holidays. What has a time of day is left. However far back an
 * entry begins and however long it lasts, the work is bounded by what lies within the time.
 * @throws CoreError FILE_UNREADABLE
 */
export function readCalendar(text: string, from: IsoDate, to: IsoDate): CalendarRead {
  const days = new Map<IsoDate, string>();
  const left: CalendarRead['left'][number][] = [];
  const within = { from: dayNumber(from), to: dayNumber(to), timesLeft: MOST_TIMES };
  for (const component of entriesOf(text)) {
    const name = nameOf(component);
    try {
      const start = component.getFirstPropertyValue('dtstart');
      if (!(start instanceof ICAL.Time)) left.push({ name, why: 'It has no day on which it begins.' });
      else if (!start.isDate) left.push({ name, why: 'It is at a time of day; days off are whole days.' });
      else for (const day of daysOf(component, start, within)) addDay(isoDay(day), name);
    } catch (error) {
      if (error instanceof CoreError) throw error;
      left.push({ name, why: error instanceof Endless ? 'It comes again too often to be followed.' : 'It cannot be read.' });
    }
  }
  return { days: [...days].map(([date, dayName]) => ({ date, name: dayName })).sort((a, b) => a.date.localeCompare(b.date)), left };

  function addDay(date: IsoDate, name: string): void {
    if (days.has(date)) return;
    if (days.size === PARTS.calendarDays.most)
      throw new CoreError('FILE_UNREADABLE', `This calendar names more than ${PARTS.calendarDays.most} whole days.`, {
        most: PARTS.calendarDays.most,
      });
    days.set(date, name);
  }
}

/** A time in days since 1970, both ends in it, and how often entries that come again may still be followed. */
interface Within {
  readonly from: number;
  readonly to: number;
  timesLeft: number;
}

/** The days of an entry within a time, each once. */
function* daysOf(component: ICAL.Component, start: ICAL.Time, within: Within): Generator<number> {
  const event = new ICAL.Event(component);
  const spanDays = Math.max(1, Math.round(event.duration.toSeconds() / 86_400));
  let from = within.from;
  for (const first of event.isRecurring() ? startsOf(event, nearStart(component, start, from - spanDays), within) : [dayOfTime(start)]) {
    const last = Math.min(first + spanDays - 1, within.to);
    for (let day = Math.max(first, from); day <= last; day++) yield day;
    from = Math.max(from, last + 1);
    if (from > within.to) return;
  }
}

/** The days on which an entry that comes again begins, in order, up to the end of a time. */
function* startsOf(event: ICAL.Event, near: ICAL.Time, within: Within): Generator<number> {
  const times = event.iterator(near);
  while ((within.timesLeft -= 1) > 0) {
    const next = times.next() as ICAL.Time | null | undefined;
    const day = next ? dayOfTime(next) : Infinity;
    if (day > within.to) return;
    yield day;
  }
  throw new Endless();
}

/** An entry that comes again too often. */
class Endless extends Error {}

/** Parts of a rule that leave every time where it is when the row begins some whole intervals later. */
const EVEN_PARTS = new Set(['BYDAY']);

/**
 * Where a row is followed from: it need not be walked from its first day, years ago, when it is an even one, a day or a week
 * again and again without a number of times.
 * @param day the row is wanted from this day on, in days since 1970
 */
function nearStart(component: ICAL.Component, start: ICAL.Time, day: number): ICAL.Time {
  const rules = component.getAllProperties('rrule');
  const rule = component.getFirstPropertyValue('rrule');
  if (rules.length !== 1 || !(rule instanceof ICAL.Recur) || rule.count) return start;
  const parts = Object.keys(rule.parts);
  const isEven = rule.freq === 'DAILY' ? parts.length === 0 : rule.freq === 'WEEKLY' && parts.every((part) => EVEN_PARTS.has(part));
  if (!isEven) return start;
  const everyDays = rule.interval * (rule.freq === 'DAILY' ? 1 : 7);
  const intervals = Math.floor((day - dayOfTime(start)) / everyDays);
  if (intervals <= 0) return start;
  const near = start.clone();
  near.adjust(intervals * everyDays, 0, 0, 0);
  return near;
}

const DAY_MS = 86_400_000;
const dayNumber = (date: IsoDate) => Date.parse(`${date}T00:00:00Z`) / DAY_MS;
const isoDay = (day: number) => new Date(day * DAY_MS).toISOString().slice(0, 10);

function dayOfTime({ year, month, day }: ICAL.Time): number {
  return new Date(0).setUTCFullYear(year, month - 1, day) / DAY_MS;
}

function entriesOf(text: string): ICAL.Component[] {
  // Counted before the whole is read: that takes far longer.
  const entries = text.match(/^BEGIN:VEVENT/gim)?.length ?? 0;
  if (entries > PARTS.calendarEntries.most)
    throw new CoreError(
      'FILE_UNREADABLE',
      `This calendar has ${entries} entries; up to ${PARTS.calendarEntries.most} are read. Take a part of it.`,
      {
        entries,
        most: PARTS.calendarEntries.most,
      },
    );
  return parsed(text).getAllSubcomponents('vevent');
}

function parsed(text: string): ICAL.Component {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown as unknown[]);
    if (calendar.name === 'vcalendar') return calendar;
  } catch {
    // said below, whatever it was
  }
  throw new CoreError('FILE_UNREADABLE', 'This is no calendar file (iCalendar).');
}

function nameOf(component: ICAL.Component): string {
  const summary = component.getFirstPropertyValue('summary');
  return typeof summary === 'string' && summary.trim() ? summary.trim().slice(0, LONGEST_NAME) : 'without a name';
}
