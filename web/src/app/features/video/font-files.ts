import { FILM_FONT, type FontFile } from './film-messages';

/** The files of the font that the page itself draws with, as its style sheets name them. */
export function fontFiles(): FontFile[] {
  return [...document.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].flatMap((rule) => {
      if (!(rule instanceof CSSFontFaceRule) || !rule.style.getPropertyValue('font-family').includes(FILM_FONT)) return [];
      const source = /url\("?([^")]+)"?\)/.exec(rule.style.getPropertyValue('src'))?.[1];
      if (!source) return [];
      const unicodeRange = rule.style.getPropertyValue('unicode-range') || 'U+0-10FFFF';
      return [{ url: new URL(source, sheet.href ?? location.href).href, weight: rule.style.getPropertyValue('font-weight'), unicodeRange }];
    }),
  );
}
