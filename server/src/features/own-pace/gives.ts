// Lessons that each pupil takes at their own pace, as rooms.
export type { OwnRooms } from './own-rooms.js';
