/**
 * Digits of any script as 0 to 9: "٧:٣٠" becomes "7:30". Scripts have theirs in rows of ten, from zero up.
 * Source: Unicode, general category Nd.
 */
export function plainDigits(text: string): string {
  return text.normalize('NFKC').replace(/\p{Nd}/gu, (digit) => {
    const code = digit.codePointAt(0)!;
    let value = 0;
    while (value < 9 && /\p{Nd}/u.test(String.fromCodePoint(code - value - 1))) value++;
    return String(value);
  });
}
