import { computed, type Signal } from '@angular/core';
import { language, locale, type Language, type Locale } from './language';

/**
 * The words of one feature in every language, English first. Each word is a text, or a function of what it speaks about; what all
 * languages have is checked by the compiler.
 */
export function catalogue<Words>(byLanguage: Readonly<Record<Language, Words>>): Signal<Words> {
  return computed(() => byLanguage[language()]);
}

/** Forms of a word by number, as the language has them; `{n}` stands for the number. */
export type Forms = Partial<Readonly<Record<Intl.LDMLPluralRule, string>>> & { readonly other: string };

/** A formatter is costly to make: one for each way of writing is enough. */
function oneEach<Made>(make: (locale: Locale) => Made): () => Made {
  const made = new Map<Locale, Made>();
  return () => {
    const at = locale();
    let one = made.get(at);
    if (!one) made.set(at, (one = make(at)));
    return one;
  };
}

const plurals = oneEach((at) => new Intl.PluralRules(at));
const numbers = oneEach((at) => new Intl.NumberFormat(at));
const lists = oneEach((at) => new Intl.ListFormat(at, { type: 'conjunction' }));

/** "1 pupil", "26 pupils". */
export function count(n: number, forms: Forms): string {
  const form = forms[plurals().select(n)] ?? forms.other;
  return form.replace('{n}', numbers().format(n));
}

/** "Dov, Mirela and Zeb". */
export function listed(all: readonly string[]): string {
  return lists().format(all);
}
