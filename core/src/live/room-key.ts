import type { Rng } from '../random/rng.js';

/** The twelve pictures of which four in order make a room key. Their names can be typed and are spoken by screen readers. */
export const KEY_PICTURES = [
  'boat',
  'lamp',
  'puffin',
  'shell',
  'fish',
  'loaf',
  'anchor',
  'star',
  'cloud',
  'kite',
  'sheep',
  'drum',
] as const;

export type KeyPicture = (typeof KEY_PICTURES)[number];

/** Different pictures in order. A picture that comes twice is hard to follow when they are read out. */
export type RoomKey = readonly KeyPicture[];

/** The key of a room in which a teacher is: 11,880 keys. */
export const KEY_LENGTH = 4;
/** The key of what stays open for days, without a teacher at the door: 665,280 keys. */
export const LASTING_KEY_LENGTH = 6;

/** A room key drawn at random. @param length how many pictures, up to twelve */
export function drawRoomKey(rng: Rng, length = KEY_LENGTH): RoomKey {
  const left: KeyPicture[] = [...KEY_PICTURES];
  const draw = () => left.splice(Math.floor(rng() * left.length), 1)[0]!;
  return Array.from({ length }, draw);
}

/** The key as one text, as it is stored and typed: "boat lamp puffin shell". */
export function roomKeyText(key: RoomKey): string {
  return key.join(' ');
}

/**
 * Reads picture names as far as they are typed: capitals, commas and extra spaces do not matter, and the beginning of a
 * name is enough where only one picture begins so.
 * @param names what the pictures are called in another language; their own names always count
 * @returns the pictures recognised, and the first word that is no picture, or null
 */
export function readPictures(
  text: string,
  names: Readonly<Record<KeyPicture, string>> | null = null,
): { readonly pictures: readonly KeyPicture[]; readonly unknown: string | null } {
  const pictures: KeyPicture[] = [];
  const words = text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(Boolean);
  const called = (nameOf: (picture: KeyPicture) => string, word: string) => {
    const exact = KEY_PICTURES.filter((picture) => nameOf(picture) === word);
    return exact.length ? exact : KEY_PICTURES.filter((picture) => word.length >= 2 && nameOf(picture).startsWith(word));
  };
  for (const word of words) {
    const here = names ? called((picture) => names[picture].toLowerCase(), word) : [];
    const matches = here.length ? here : called((picture) => picture, word);
    if (matches.length !== 1) return { pictures, unknown: word };
    pictures.push(matches[0]!);
  }
  return { pictures, unknown: null };
}
