/** Signs that are read as nothing, or as their names. */
const UNSPOKEN = /[✓✗▲▼_]+/g;

/** Sentences as a voice reads them: each ends once, whatever stood at its end. */
export const sentences = (all: readonly string[]): string =>
  all
    .map((one) => one.replace(UNSPOKEN, ' ').replace(/\s+/g, ' ').trim())
    .filter((one) => one !== '')
    .map((one) => (/[.!?:…]$/.test(one) ? one : `${one}.`))
    .join(' ');
