/** Words with a capital letter first, as a sentence begins; there is at least one letter. */
export const capital = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`;
