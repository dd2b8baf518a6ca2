import { deskLanguage } from '../../shared/words/spoken';

/** A day of the calendar as the language of the desk writes it: "Friday 6 November". @param day as in "2026-11-06" */
export function dayWords(day: string): string {
  // At noon, so that no time zone makes it another day.
  return new Date(`${day}T12:00`).toLocaleDateString(deskLanguage(), { weekday: 'long', day: 'numeric', month: 'long' });
}
