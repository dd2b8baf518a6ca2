import { randomInt } from 'node:crypto';

const LOWEST = 10_000_000;
const HIGHEST = 99_999_999;

/** Numbers requests, so that a problem on a screen is found in the log: eight digits that can be told on the phone, from anywhere on. */
export function requestNumbers(first = randomInt(LOWEST, HIGHEST)): () => string {
  let last = first;
  return () => {
    last = last >= HIGHEST ? LOWEST : last + 1;
    return String(last);
  };
}
