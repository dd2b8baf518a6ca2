import { ClockLeap } from '@zeitpunkt/contract';
import type { Events } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import type { SchoolClock } from './school-clock.js';

export interface ClockOptions {
  readonly clock: SchoolClock;
  readonly requireTeacher: RequireTeacher;
  readonly events: Events;
}

/** The clock is looked at so often, in milliseconds, and what is over is tidied up. */
const LOOK_EVERY_MS = 6 * 3600_000;

/** Deletes what is kept no longer, while the clock is believed; and asks a teacher where it is not. */
export const clockPlugin: Feature<ClockOptions> = async (app, { clock, events, requireTeacher }) => {
  const look = () => {
    try {
      if (clock.look()) return void events.emit('tidyUp');
      app.log.warn(
        { leap: clock.leap() },
        'the clock is more than a week ahead of when it was last seen; nothing is deleted until a teacher says yes',
      );
    } catch (error) {
      app.log.error({ err: error }, 'what is old could not be deleted; it is tried again later');
    }
  };
  app.addHook('onReady', async () => look());
  const timer = setInterval(look, LOOK_EVERY_MS).unref();
  app.addHook('onClose', async () => clearInterval(timer));

  app.get('/api/clock', { schema: { response: { 200: ClockLeap } } }, (request) => {
    requireTeacher(request);
    return { leap: clock.leap() };
  });

  // Said again it changes nothing.
  app.post('/api/clock/confirm', { schema: { response: { 200: ClockLeap } } }, (request) => {
    requireTeacher(request);
    clock.confirm();
    look();
    return { leap: clock.leap() };
  });
};
