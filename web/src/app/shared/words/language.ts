import { computed } from '@angular/core';
import { keptChoice } from '../kept-choice';

/** Languages of the teacher's side that there are words for. */
export type Language = 'en';

/** Ways of writing a language: they differ in how days and months are written. */
export const LOCALES = ['en-GB', 'en-US'] as const;
export type Locale = (typeof LOCALES)[number];

const kept = keptChoice<Locale>('zp-locale', LOCALES, 'en-GB');

/** How days, lists and numbers are written for this teacher. */
export const locale = kept.now;
/** The language whose words are shown. */
export const language = computed<Language>(() => locale().slice(0, 2) as Language);

/** Writes everything in another way from now on, on this device. */
export const writeAs = (next: Locale): void => kept.choose(next);
