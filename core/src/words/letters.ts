/**
 * Distance of two words in slips: letters left out, added, taken for others, or two neighbours exchanged.
 * Source: optimal string alignment (restricted Damerau–Levenshtein) distance.
 */
export function slipsBetween(a: string, b: string): number {
  const rows = [Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(rows[i - 1]![j]! + 1, row[j - 1]! + 1, rows[i - 1]![j - 1]! + (same ? 0 : 1));
      const exchanged = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      if (exchanged) best = Math.min(best, rows[i - 2]![j - 2]! + 1);
      row.push(best);
    }
    rows.push(row);
  }
  return rows[a.length]![b.length]!;
}

/** How many slips a word of this length may have and still be the word: a short one is soon another word. */
export function slipsAllowed(length: number): number {
  return length < 4 ? 0 : length < 6 ? 1 : 2;
}
