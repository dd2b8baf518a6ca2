// Everything that can be made or sent has a bound, and this is the one list of them: schemas, routes and the database read it
// here, and docs/limits.md is written from it. A bound is far beyond what a school needs, and low enough that nobody fills a
// machine by trying.

const kB = 1024;
const MB = 1024 * kB;

/** How many there can be. The database itself holds these, whatever way something is made. */
export interface CountLimit {
  readonly most: number;
  /** What is counted, as "classes". */
  readonly of: string;
  /** Of whom or what: "a teacher". */
  readonly per: string;
  /** What whoever meets it can do. */
  readonly then: string;
}

export const COUNTS = {
  teachers: { most: 500, of: 'teachers', per: 'a school', then: 'Close accounts that nobody uses.' },
  invitations: { most: 100, of: 'open invitations', per: 'a school', then: 'Withdraw some that are not needed.' },
  classes: { most: 100, of: 'classes', per: 'a teacher', then: 'Delete one that is over, or hand it over.' },
  pupils: { most: 3000, of: 'pupils, with those who left,', per: 'a class', then: 'Make another class.' },
  lessons: { most: 5000, of: 'lessons', per: 'a teacher', then: 'Delete some that are not used.' },
  dials: { most: 1000, of: 'saved dials', per: 'a teacher', then: 'Delete some that are not used.' },
  openRooms: { most: 100, of: 'open rooms', per: 'a teacher', then: 'End lessons that are over.' },
  ownPace: { most: 500, of: 'lessons that are open at one’s own pace', per: 'a teacher', then: 'Close some of them.' },
  taught: { most: 10_000, of: 'lessons that were taught', per: 'a class', then: 'Have old answers deleted.' },
  commands: { most: 20_000, of: 'commands', per: 'a lesson that is taught', then: 'End it, and begin anew.' },
  places: { most: 3000, of: 'devices that came in', per: 'a lesson that is taught', then: 'End it, and begin anew.' },
  takes: { most: 2000, of: 'takes', per: 'a lesson', then: 'Delete some.' },
  remarks: { most: 1000, of: 'remarks', per: 'a pupil', then: 'Delete some.' },
  wordings: { most: 1000, of: 'further wordings', per: 'a class', then: 'They stay as they are.' },
  corrections: { most: 100, of: 'corrections', per: 'an answer', then: 'The latest counts.' },
  sheets: { most: 500, of: 'sheets', per: 'a lesson', then: 'Delete some.' },
} as const satisfies Record<string, CountLimit>;
export type CountName = keyof typeof COUNTS;

/** How large something may be that is sent at once, in bytes; what is larger is refused before it is read. */
export interface SizeLimit {
  readonly bytes: number;
  readonly of: string;
}

export const SIZES = {
  fromDesk: { bytes: 8 * kB, of: 'whatever a pupil’s device sends' },
  fromTeacher: { bytes: 64 * kB, of: 'whatever a teacher’s page sends, where nothing else stands here' },
  socketMessage: { bytes: 4 * kB, of: 'a message on a line' },
  lesson: { bytes: 4 * MB, of: 'a lesson, as it is kept or as a file' },
  classList: { bytes: 4 * MB, of: 'a class list as a file' },
  pupils: { bytes: 1 * MB, of: 'pupils who are added at once' },
  pupilIds: { bytes: 128 * kB, of: 'pupils who are chosen: for cards, for a lesson at their own pace' },
  calendar: { bytes: 2 * MB, of: 'a calendar as a file' },
  questions: { bytes: 20 * MB, of: 'a package of questions' },
  results: { bytes: 48 * MB, of: 'a file of results' },
  archive: { bytes: 48 * MB, of: 'a class with everything as one file' },
  takePiece: { bytes: 512 * kB, of: 'a piece of a recording, or its captions' },
  takeSound: { bytes: 40 * MB, of: 'the sound of one take' },
  recording: { bytes: 400 * MB, of: 'all takes of a lesson together' },
} as const satisfies Record<string, SizeLimit>;

/** How often something may be done. */
export interface RateLimit {
  readonly most: number;
  readonly of: string;
  readonly per: string;
  /** Within how many seconds. */
  readonly withinSec: number;
}

export const RATES = {
  teacherRequests: { most: 6000, of: 'requests', per: 'a browser of a teacher', withinSec: 60 },
  deskRequests: { most: 600, of: 'requests', per: 'a device of a pupil, answers apart', withinSec: 60 },
  // A thousand pupils of one school may come in behind one address within the same minute.
  strangerRequests: { most: 12_000, of: 'requests', per: 'an address, of whoever is neither signed in nor in a room', withinSec: 60 },
  socketMessages: { most: 60, of: 'messages', per: 'a line', withinSec: 60 },
  signInsOfDevice: { most: 8, of: 'wrong passwords', per: 'a device, or a name', withinSec: 60 },
  signInsOfAddress: { most: 30, of: 'wrong passwords before tries are slowed down', per: 'an address', withinSec: 60 },
  secondFactor: { most: 10, of: 'wrong one-time codes', per: 'an account', withinSec: 3600 },
  keysOfDevice: { most: 12, of: 'wrong room keys', per: 'a device', withinSec: 60 },
  keysOfAddress: { most: 150, of: 'wrong room keys before tries are slowed down', per: 'an address', withinSec: 60 },
  lastingKeys: { most: 60, of: 'wrong keys of lessons that stay open', per: 'an address, or a school', withinSec: 3600 },
} as const satisfies Record<string, RateLimit>;

/** How much stands in one thing that is made. */
export interface PartLimit {
  readonly most: number;
  readonly of: string;
  readonly per: string;
}

export const PARTS = {
  attempts: { most: 60, of: 'attempts', per: 'a pupil and question' },
  newcomers: { most: 20, of: 'pupils who are not on the list', per: 'a room' },
  knocks: { most: 40, of: 'devices that knock', per: 'a school at a time' },
  windows: { most: 4, of: 'lines', per: 'a device or a teacher and room; the oldest is closed' },
  simulated: { most: 36, of: 'simulated pupils', per: 'a rehearsal' },
  pupilsAtOnce: { most: 2000, of: 'pupils', per: 'a list that is taken in' },
  listRows: { most: 5000, of: 'rows', per: 'a class list as a file' },
  calendarEntries: { most: 5000, of: 'entries', per: 'a calendar' },
  calendarDays: { most: 2000, of: 'whole days', per: 'a calendar' },
  beats: { most: 300, of: 'beats', per: 'a lesson' },
  items: { most: 100, of: 'questions', per: 'a lesson' },
  questionsOfPackage: { most: 100, of: 'questions', per: 'a package' },
  takePieces: { most: 4000, of: 'pieces', per: 'a take' },
} as const satisfies Record<string, PartLimit>;
