import { computed, type Signal } from '@angular/core';
import { language, locale, type Language } from './language';

/**
 * The words of one feature in every language, English first. Each word is a text, or a function of what it speaks about; what all
 * languages have is checked by the compiler.
 */
export function catalogue<Words>(byLanguage: Readonly<Record<Language, Words>>): Signal<Words> {
  return computed(() => byLanguage[language()]);
}

/** Forms of a word by number, as the language has them; `{n}` stands for the number. */
export type Forms = Partial<Readonly<Record<Intl.LDMLPluralRule, string>>> & { readonly other: string };

/** "1 pupil", "26 pupils". */
export function count(n: number, forms: Forms): string {
  const form = forms[new Intl.PluralRules(locale()).select(n)] ?? forms.other;
  return form.replace('{n}', new Intl.NumberFormat(locale()).format(n));
}

/** "Dov, Mirela and Zeb". */
export function listed(all: readonly string[]): string {
  return new Intl.ListFormat(locale(), { type: 'conjunction' }).format(all);
}
