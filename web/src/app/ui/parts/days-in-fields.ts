import { MAT_DATE_LOCALE } from '@angular/material/core';
import { MAT_LUXON_DATE_ADAPTER_OPTIONS, provideLuxonDateAdapter } from '@angular/material-luxon-adapter';

/** Days in fields and calendars: the day before the month, and weeks that begin on Monday, as everywhere in the pages. */
export const DAYS_IN_FIELDS = [
  { provide: MAT_DATE_LOCALE, useValue: 'en-GB' },
  { provide: MAT_LUXON_DATE_ADAPTER_OPTIONS, useValue: { useUtc: false, defaultOutputCalendar: 'gregory', firstDayOfWeek: 1 } },
  provideLuxonDateAdapter(),
];
