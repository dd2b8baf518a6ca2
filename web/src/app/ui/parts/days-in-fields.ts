import { MAT_DATE_LOCALE } from '@angular/material/core';
import { provideLuxonDateAdapter } from '@angular/material-luxon-adapter';
import { locale } from '../../shared/words/language';

/** Days in fields and calendars, written as everywhere else for this teacher. */
export const DAYS_IN_FIELDS = [{ provide: MAT_DATE_LOCALE, useFactory: () => locale() }, provideLuxonDateAdapter()];
