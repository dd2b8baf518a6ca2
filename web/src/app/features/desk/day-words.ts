/** A day of the calendar as this device writes it: "Friday 6 November". @param day as in "2026-11-06" */
export function dayWords(day: string): string {
  // At noon, so that no time zone makes it another day.
  return new Date(`${day}T12:00`).toLocaleDateString(undefined, { weekday: 'long', day: 'numeric', month: 'long' });
}
