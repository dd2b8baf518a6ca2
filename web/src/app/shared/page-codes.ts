import type { ErrorCode } from '@zeitpunkt/core/errors';

/** What can stand in the way on a device itself: codes beside those of the core and the server, that last as long as they. */
export const PAGE_CODES = {
  LINE_LOST: 'The server was not reached, or something before it has trouble.',
  NOT_LET_THROUGH: 'Something on the way to the server refused a request.',
  CLASS_NEEDED: 'A sheet without names came back, and no class was chosen.',
  SOUND_NOT_FETCHED: 'The sound of a take could not be fetched.',
  SOUND_NOT_READ: 'A recorded file holds no sound that this browser can read.',
  MICROPHONE: 'The microphone cannot be used.',
  PICTURE_NOT_MADE: 'This browser cannot make a picture of the size that was asked for.',
  FILM_FORMAT: 'This browser cannot make a film of the format that was asked for.',
  FILM_DISK_FULL: 'There is no room on the disk for a film.',
  FILM_ELSEWHERE: 'Another window makes a film of the same lesson.',
  PAPER_LETTERS: 'The letters of a paper could not be fetched.',
  NOT_LOOKED_THROUGH: 'The worker that looks through answers ended.',
  NOT_CHOSEN: 'The worker that chooses questions ended.',
  STOPPED: 'What was asked for was given up, because the page turned to something else.',
  STORE_SILENT: 'The store of the device does not answer.',
} as const;

export type PageCode = keyof typeof PAGE_CODES;
/** Every code that a page can meet. */
export type ProblemCode = PageCode | ErrorCode;
