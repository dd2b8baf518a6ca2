import cyrillic400 from '@fontsource/andika/files/andika-cyrillic-400-normal.woff';
import cyrillic700 from '@fontsource/andika/files/andika-cyrillic-700-normal.woff';
import latin400 from '@fontsource/andika/files/andika-latin-400-normal.woff';
import latin700 from '@fontsource/andika/files/andika-latin-700-normal.woff';
import latinExt400 from '@fontsource/andika/files/andika-latin-ext-400-normal.woff';
import latinExt700 from '@fontsource/andika/files/andika-latin-ext-700-normal.woff';
import vietnamese400 from '@fontsource/andika/files/andika-vietnamese-400-normal.woff';
import vietnamese700 from '@fontsource/andika/files/andika-vietnamese-700-normal.woff';
import type { FontPart } from './paper-fonts';

/**
 * Where the parts of the font are that papers are set in, the plain letters first; the others are fetched for texts that need
 * them. As WOFF, since glyphs cannot be taken out of WOFF 2 one by one.
 */
export const FONT_PARTS: readonly FontPart[] = [
  { regular: latin400, bold: latin700 },
  { regular: latinExt400, bold: latinExt700 },
  { regular: vietnamese400, bold: vietnamese700 },
  { regular: cyrillic400, bold: cyrillic700 },
];
