import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { joined } from '../../files/joined.js';
import { textOf } from '../../files/text-of.js';
import { readCalendar, type CalendarRead } from './calendar.js';

export const planTasks = {
  /** The days off in a calendar file. @throws CoreError FILE_UNREADABLE */
  calendar: (file: readonly Uint8Array[], from: IsoDate, to: IsoDate): CalendarRead =>
    readCalendar(textOf(joined(file), 'This calendar'), from, to),
};
