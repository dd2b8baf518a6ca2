/**
 * Every error code of the product, with what it means. Codes are `AREA_REASON`; they last for ever: a code may be added,
 * never renamed or reused. The server maps each to an HTTP status; `docs/error-codes.md` lists them for readers.
 */
export const ERROR_CODES = {
  TIME_HOUR_RANGE: 'An hour lies outside 0 to 23.',
  TIME_MINUTE_RANGE: 'A minute lies outside 0 to 59.',
  TIME_SECOND_RANGE: 'A second of the day lies outside 0 to 86,399.',
  LESSON_ITEM_UNKNOWN: 'A beat names an item that the lesson does not hold.',
  LESSON_BEAT_TWICE: 'Two beats of a lesson carry the same id.',
  LESSON_ITEM_TWICE: 'Two items of a lesson carry the same id.',
  LESSON_BEAT_ORDER: 'A think or answer beat stands without its ask beat before it.',
  LESSON_MISTAKE_NONE: 'A mistake is to be explained at a time where its idea leads to none.',
  LESSON_EMPTY: 'A lesson has no beats.',
  LESSON_CHANGED: 'A lesson was changed meanwhile, from another window.',
  LESSON_UNREADABLE: 'A lesson file does not follow its format.',
  DIAL_CHANGED: 'A saved dial was changed or deleted meanwhile, from another window.',
  DIAL_UNREADABLE: 'A saved dial does not follow its format.',
  PLAN_CHANGED: 'The plan of a class was changed meanwhile, from another window.',
  PLAN_UNREADABLE: 'A stored plan does not follow its format.',
  ROOM_UNREADABLE: 'A stored room does not follow its format.',
  RUN_UNREADABLE: 'A stored place of a pupil does not follow its format.',
  RESPONSE_UNREADABLE: 'A stored response does not follow its format.',
  CLASS_UNREADABLE: 'An archive of a class does not follow its format.',
  CLASS_HERE: 'A class of an archive is in this school already.',
  FILE_UNREADABLE: 'A file that came in is damaged, is not what it is said to be, or holds more than is read.',
  RESULTS_UNREADABLE: 'A file of results, or an answer in it, does not follow its format.',
  RESULTS_ELSEWHERE: 'A file of results holds answers that belong to another class.',
  MARK_UNREADABLE: 'A stored mark does not follow its format.',
  SHEET_UNREADABLE: 'A sheet does not follow its format, or is for somebody who is not in its class.',
  TAKE_UNREADABLE: 'A stored take of a recording does not follow its format.',
  TAKE_UNKNOWN: 'A recording has no such take, or its sound has not come whole.',
  TAKE_ID_TAKEN: 'A take id was used before, for another lesson or step.',
  TAKE_SOUND: 'What was sent as the sound of a take is no file of sound, or is longer than a take may be.',
  STAGE_UNREADABLE: 'A stage that a device kept does not follow its format.',
  FORMAT_NEWER: 'Something stored was written by a newer version.',
  ROOM_POSITION_RANGE: 'A room was sent to a step that its lesson does not have.',
  ROOM_NOT_RUNNING: 'A room was told to move before it began or after it ended.',
  QUESTION_NOT_OPEN: 'A response came for a question that was not asked.',
  QUESTION_ANSWERED: 'A question that somebody has answered was to be taken back.',
  QUESTION_UNKNOWN: 'A response names a question that the lesson does not hold.',
  ITEM_NOT_MADE: 'A question of a kind cannot be made on a rung.',
  RESPONSE_SHAPE: 'A response does not have the shape its question asks for.',
  RESPONSE_ID_TAKEN: 'A response id was used before, by another pupil, for another question or with another answer.',
  JOIN_ID_TAKEN: 'A join id was used before, by another pupil or in another room.',
  REQUEST_SHAPE: 'A request does not have the shape its route asks for.',
  REQUEST_TOO_LARGE: 'A request body is larger than its route takes.',
  REQUEST_SLOW: 'A request did not arrive whole in time.',
  REQUEST_MEDIA_TYPE: 'A request body is not JSON.',
  REQUEST_ORIGIN: 'A change was asked for from a page of another site.',
  REQUEST_RATE: 'Too many tries failed from one place within a minute.',
  NOT_FOUND: 'Nothing stands at this address.',
  SIGN_IN_WRONG: 'The sign-in name or the password is wrong.',
  SIGN_IN_NEEDED: 'The page needs a teacher who is signed in.',
  SETUP_CODE_WRONG: 'The one-time set-up code is wrong.',
  SETUP_DONE: 'The first teacher is set up already.',
  ROOM_KEY_UNKNOWN: 'No open door has this key.',
  DOOR_CROWDED: 'So many wrong keys were tried that the teacher opens to whoever is new.',
  NAME_TAKEN: 'A pupil of this name is in the room already.',
  PUPIL_UNKNOWN: 'The class of this room has no such pupil.',
  OWN_PACE_DAYS: 'A lesson at own pace is given for days that make no sense, or is not open today.',
  CARD_UNKNOWN: 'A join card is unknown, or was replaced or taken back.',
  CLASS_ID_TAKEN: 'A class id was used before, by another teacher.',
  INVITATION_WRONG: 'An invitation code is wrong, used or too old.',
  NOT_ALLOWED: 'Only the first teacher of a school may do this.',
  ROSTER_UNREADABLE: 'A list of pupils cannot be read as a table.',
  SIGN_IN_NAME_TAKEN: 'Another teacher signs in with this name.',
  DESK_NOT_JOINED: 'This device has not joined a room, or was let out of it.',
  SESSION_ID_TAKEN: 'A session id was used before.',
  SOCKET_MESSAGE: 'A socket message could not be read.',
  START_PORT_IN_USE: 'The port is used by another program.',
  START_DATA_DIR: 'The data directory cannot be written.',
  START_OPTION: 'An option of the command line has no sense.',
  START_DATA_IN_USE: 'Another server, or another program, holds the data directory.',
  START_DATABASE_DAMAGED: 'The database is damaged or no database.',
  START_DATABASE_FOREIGN: 'The database belongs to another program, or is empty.',
  STORE_BUSY: 'Another program holds the database just now.',
  STORE_FULL: 'The disk takes nothing more.',
  START_DATABASE_NEWER: 'The database was written by a newer version.',
  INTERNAL: 'Something went wrong inside the program.',
} as const;

export type ErrorCode = keyof typeof ERROR_CODES;

/** What a sentence about an error speaks of, by name: whoever words it in another language needs it apart. */
export type ErrorParams = Readonly<Record<string, string | number>>;

/** An error with a code from {@link ERROR_CODES} and one plain sentence that says what was expected and what came. */
export class CoreError extends Error {
  override readonly name = 'CoreError';
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly params: ErrorParams = {},
  ) {
    super(message);
  }
}
