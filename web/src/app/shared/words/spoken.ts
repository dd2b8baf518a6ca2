import { computed, signal, type Signal } from '@angular/core';

/** The languages in which the pupil's desk speaks. */
export type DeskTongue = 'en' | 'de';

/** What a way of writing the same language says otherwise: what stands in it, and where it has parts, those of its parts. */
type Other<Words> = { readonly [Key in keyof Words]?: Words[Key] extends (...given: never[]) => unknown ? Words[Key] : Other<Words[Key]> };

/** The words of the desk: English, what American lessons say otherwise, and German. */
export interface DeskWords<Words> {
  readonly en: Words;
  readonly us?: Other<Words>;
  readonly de: Words;
}

const now = signal('en-GB');

/** The language that the desk speaks, as in "en-GB": that of the lesson, and before one is known that of the device. */
export const deskLanguage = now.asReadonly();
export const deskTongue = computed<DeskTongue>(() => (/^de\b/i.test(now()) ? 'de' : 'en'));

/** Speaks a language from now on; the page itself, too: it is what a screen reader goes by. */
export function speakAs(language: string): void {
  now.set(language);
  document.documentElement.lang = now();
}

/** The words as they are now, by the language that is spoken; that each language has all of them is checked by the compiler. */
export function spoken<Words extends object>(words: DeskWords<Words>): Signal<Words> {
  const american = words.us ? merged(words.en, words.us) : words.en;
  return computed(() => (deskTongue() === 'de' ? words.de : now() === 'en-US' ? american : words.en));
}

function merged<Words extends object>(words: Words, other: Other<Words>): Words {
  const all = { ...words } as Record<string, unknown>;
  for (const [key, value] of Object.entries(other as Record<string, unknown>))
    all[key] = typeof value === 'object' && value !== null ? merged(all[key] as object, value) : value;
  return all as Words;
}
