import { actsPlugin } from './features/acts/plugin.js';
import { addressesPlugin } from './features/addresses/plugin.js';
import { archivePlugin } from './features/archive/plugin.js';
import { authPlugin } from './features/auth/plugin.js';
import { staffPlugin } from './features/auth/staff-plugin.js';
import { backupsPlugin } from './features/backups/plugin.js';
import { classesPlugin } from './features/classes/plugin.js';
import { clockPlugin } from './features/clock/plugin.js';
import { dialsPlugin } from './features/dials/plugin.js';
import { handOverPlugin } from './features/hand-over/plugin.js';
import { healthPlugin } from './features/health/plugin.js';
import { lessonsPlugin } from './features/lessons/plugin.js';
import { cardDeskRoutes } from './features/live/card-desk-routes.js';
import { deskRoutes } from './features/live/desk-routes.js';
import { silentRooms } from './features/live/silent-rooms.js';
import { sockets } from './features/live/sockets.js';
import { teacherRoutes } from './features/live/teacher-routes.js';
import { ownPacePlugin } from './features/own-pace/plugin.js';
import { paperPlugin } from './features/paper/plugin.js';
import { plansPlugin } from './features/plans/plugin.js';
import { questionsPlugin } from './features/questions/plugin.js';
import { resultsPlugin } from './features/results/plugin.js';
import { reviewPlugin } from './features/review/plugin.js';
import { simulatedPlugin } from './features/simulated/plugin.js';
import { voicePlugin } from './features/voice/plugin.js';
import { nameFeatures, type Feature } from './http/feature.js';
import type { Shared } from './shared.js';

const features = {
  authPlugin,
  clockPlugin,
  staffPlugin,
  actsPlugin,
  classesPlugin,
  handOverPlugin,
  plansPlugin,
  lessonsPlugin,
  addressesPlugin,
  backupsPlugin,
  healthPlugin,
  dialsPlugin,
  teacherRoutes,
  silentRooms,
  reviewPlugin,
  resultsPlugin,
  archivePlugin,
  questionsPlugin,
  paperPlugin,
  simulatedPlugin,
  voicePlugin,
  ownPacePlugin,
  deskRoutes,
  cardDeskRoutes,
  sockets,
};
nameFeatures(features);

/** Every feature of the server but the route where answers come in; each says which of what is shared it needs. */
export const FEATURES: readonly Feature<Shared>[] = Object.values(features);
