import type { Feature } from '../../http/feature.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

/** Rooms in which nothing is heard any more are looked for so often, in milliseconds. */
const SILENT_EVERY_MS = 5 * 60_000;

/** Ends rooms that everybody has left: when the server starts, and from time to time. */
export const silentRooms: Feature<{ readonly rooms: RoomDirectory }> = async (app, { rooms }) => {
  const endSilent = setInterval(() => {
    rooms.endSilent().catch((error: unknown) => app.log.error({ err: error }, 'silent rooms could not be ended; it is tried again later'));
  }, SILENT_EVERY_MS).unref();
  app.addHook('onReady', async () => void (await rooms.endSilent()));
  app.addHook('onClose', async () => clearInterval(endSilent));
};
