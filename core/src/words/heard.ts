/** What a typed text means. */
export type Heard = HeardTime | { readonly kind: 'unreadable' };

export interface HeardTime {
  readonly kind: 'time';
  /** Minutes since midnight, 0 to 1439; with the half of the day unknown, minutes since 12 o'clock, 0 to 719. */
  readonly minuteOfDay: number;
  readonly halfKnown: boolean;
  readonly form: 'display' | 'words';
  /** Spelling slips, 0 or more: a slip does not make the time wrong. */
  readonly slips: number;
  /** Set where the text reads as this time only through a misconception. */
  readonly misconception: 'zero-dropped' | 'sixty-at-top' | null;
}
