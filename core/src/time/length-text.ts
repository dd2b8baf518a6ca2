/** A length of time as it is written beside a script: "1:05". @param ms 0 or more */
export function lengthText(ms: number): string {
  const seconds = Math.round(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
