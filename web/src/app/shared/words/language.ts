import { computed, signal } from '@angular/core';
import { deviceStore } from '../device-store';

/** Languages of the teacher's side that there are words for. */
export type Language = 'en';

/** Ways of writing a language: they differ in how days and months are written. */
export const LOCALES = ['en-GB', 'en-US'] as const;
export type Locale = (typeof LOCALES)[number];

const KEPT = 'zp-locale';
const device = deviceStore();
const isLocale = (text: string | null): text is Locale => LOCALES.some((one) => one === text);
const start = device.get(KEPT);

const chosen = signal<Locale>(isLocale(start) ? start : 'en-GB');

/** How days, lists and numbers are written for this teacher. */
export const locale = chosen.asReadonly();
/** The language whose words are shown. */
export const language = computed<Language>(() => chosen().slice(0, 2) as Language);

/** Writes everything in another way from now on, on this device. */
export function writeAs(next: Locale): void {
  device.set(KEPT, next);
  chosen.set(next);
}
