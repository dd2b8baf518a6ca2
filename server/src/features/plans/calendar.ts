import { CoreError, daysOn, isIsoDate, plannedLessons, type ClassPlan, type IsoDate } from '@zeitpunkt/core';
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

/** So far into the years an entry that comes again is followed, and so many times. */
const MOST_TIMES = 1500;
const MOST_DAYS = 2000;
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
 * The whole days of a calendar file within a time: days off, holidays. What has a time of day is left.
 * @throws CoreError FILE_UNREADABLE
 */
export function readCalendar(text: string, from: IsoDate, to: IsoDate): CalendarRead {
  const calendar = parsed(text);
  const days = new Map<IsoDate, string>();
  const left: CalendarRead['left'][number][] = [];
  for (const component of calendar.getAllSubcomponents('vevent')) {
    const name = nameOf(component);
    try {
      const start = component.getFirstPropertyValue('dtstart');
      if (!(start instanceof ICAL.Time)) left.push({ name, why: 'It has no day on which it begins.' });
      else if (!start.isDate) left.push({ name, why: 'It is at a time of day; days off are whole days.' });
      else addDays(component, name);
    } catch (error) {
      if (error instanceof CoreError) throw error;
      left.push({ name, why: 'It cannot be read.' });
    }
  }
  return { days: [...days].map(([date, dayName]) => ({ date, name: dayName })).sort((a, b) => a.date.localeCompare(b.date)), left };

  function addDays(component: ICAL.Component, name: string): void {
    const event = new ICAL.Event(component);
    const spanDays = Math.max(1, Math.round(event.duration.toSeconds() / 86_400));
    const times = event.iterator();
    for (let time = 0; time < MOST_TIMES; time++) {
      const next = times.next();
      const first = next?.toString().slice(0, 10);
      if (!first || first > to) return;
      if (!isIsoDate(first)) continue;
      for (let day = 0; day < spanDays; day++) {
        const date = daysOn(first, day);
        if (date > to) break;
        if (date < from || days.has(date)) continue;
        if (days.size === MOST_DAYS) throw new CoreError('FILE_UNREADABLE', `This calendar names more than ${MOST_DAYS} whole days.`);
        days.set(date, name);
      }
    }
  }
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
