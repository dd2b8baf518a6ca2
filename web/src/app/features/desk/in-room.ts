import { loadMessageCheck } from './message-check';

/** The desk in its room. */
export const loadRoom = () => import('./desk-room').then((file) => file.DeskRoom);

/** Fetches what is needed once one is in a room, while the pictures are still being chosen. */
export function prepareRoom(): void {
  for (const load of [loadRoom, loadMessageCheck]) void load().catch(() => undefined); // tried again when it is needed
}
