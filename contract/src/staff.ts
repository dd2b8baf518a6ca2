import { Type } from '@sinclair/typebox';
import { PupilName } from './classes.js';
import { type Data, AtMs, Exact, Nullable, ShortText, Uuid } from './shared.js';

export const SignInName = Type.String({ minLength: 1, maxLength: 100 });
export const NewPassword = Type.String({ minLength: 10, maxLength: 200 });

export const SignIn = Exact({
  signInName: SignInName,
  password: Type.String({ minLength: 1, maxLength: 200 }),
  /** Of the second factor, where there is one. */
  oneTimeCode: Type.Optional(Type.String({ maxLength: 20 })),
});
export type SignIn = Data<typeof SignIn>;

export const Teacher = Exact({ id: Uuid, name: ShortText });
export type Teacher = Data<typeof Teacher>;

/** Who is signed in, and whether the first teacher has still to be set up. */
export const Me = Exact({ teacher: Nullable(Teacher), setUpNeeded: Type.Boolean() });
export type Me = Data<typeof Me>;

/** A teacher who begins here: the one-time code from the console or of an invitation, and the first class. */
export const SetUp = Exact({
  code: Type.String({ minLength: 1, maxLength: 40 }),
  name: ShortText,
  signInName: SignInName,
  password: NewPassword,
  className: ShortText,
  pupilNames: Type.Array(PupilName, { maxItems: 60, uniqueItems: true }),
});
export type SetUp = Data<typeof SetUp>;

/** Everybody who teaches at the school, and who is invited to. */
export const Staff = Exact({
  teachers: Type.Array(
    Exact({
      id: Uuid,
      name: ShortText,
      /** Names of their classes. */
      classes: Type.Array(ShortText),
      isFirst: Type.Boolean(),
      secondFactor: Type.Boolean(),
      /** When they were last here; null where nobody knows. */
      seenAtMs: Nullable(AtMs),
    }),
  ),
  /** Codes that were given out and not used yet; the codes themselves are not kept. */
  invitations: Type.Array(Exact({ id: Uuid, forWhom: ShortText, expiresAtMs: AtMs })),
  /** Whether whoever asks may invite others: the first teacher may. */
  mayInvite: Type.Boolean(),
});
export type Staff = Data<typeof Staff>;

export const Invite = Exact({ id: Uuid, forWhom: ShortText });
export type Invite = Data<typeof Invite>;
/** The one-time code of an invitation, told once. */
export const Invited = Exact({ code: Type.String(), staff: Staff });
export type Invited = Data<typeof Invited>;
