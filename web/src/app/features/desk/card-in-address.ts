import { deviceStore } from '../../shared/device-store';

const USED = 'zp-card';
const tab = deviceStore('session');

/** The token of the join card in this page's address; null where there is none, or where this tab has come in with it already. */
export function cardInAddress(): string | null {
  const token = tokenInAddress();
  return token === tab.get(USED) ? null : token;
}

/** The token of the join card in this page's address, used or not. */
export function tokenInAddress(): string | null {
  return /^#card=([\w-]{22})$/.exec(location.hash)?.[1] ?? null;
}

/** A page that is loaded again stays where it is, and shows its card anew only in another tab. */
export function cardUsed(token: string): void {
  tab.set(USED, token);
}
