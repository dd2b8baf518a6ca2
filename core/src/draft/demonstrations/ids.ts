/** Ways of showing. The list of their own that rungs name them by; the registry holds what each is. */
export type DemonstrationId = 'sweep' | 'one-hand' | 'day-line' | 'twice-round' | 'span' | 'seconds';
