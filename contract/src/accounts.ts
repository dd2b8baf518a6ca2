import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, Nullable, ShortText, Uuid } from './shared.js';
import { NewPassword, SignInName } from './staff.js';

/** A one-time code of a second factor: six digits. */
export const OneTimeCode = Type.String({ pattern: '^[0-9]{6}$' });

/** A browser in which a teacher is signed in. */
const Login = Exact({
  id: Type.String({ minLength: 1, maxLength: 64 }),
  /** As far as it says which one it is: "Firefox, Linux". */
  browser: Type.String(),
  beganAtMs: AtMs,
  seenAtMs: AtMs,
  isThis: Type.Boolean(),
});

/** A teacher's own account. */
export const MyAccount = Exact({
  name: ShortText,
  signInName: Type.String(),
  /** Whether signing in asks for a one-time code, too. */
  secondFactor: Type.Boolean(),
  /** Whether this is the first teacher of the school. */
  isFirst: Type.Boolean(),
  logins: Type.Array(Login),
});
export type MyAccount = Data<typeof MyAccount>;

export const NameChange = Exact({ name: ShortText, signInName: SignInName });
export type NameChange = Data<typeof NameChange>;

const OwnPassword = Type.String({ minLength: 1, maxLength: 200 });
export const PasswordChange = Exact({ password: OwnPassword, newPassword: NewPassword });
export type PasswordChange = Data<typeof PasswordChange>;

/** What an app for one-time codes is set up with: typed by hand, or by its address in a QR code. */
export const SecondFactorBegun = Exact({ secret: Type.String(), uri: Type.String() });
export type SecondFactorBegun = Data<typeof SecondFactorBegun>;
export const SecondFactorConfirm = Exact({ secret: Type.String({ pattern: '^[A-Z2-7]{16,64}$' }), code: OneTimeCode });
export type SecondFactorConfirm = Data<typeof SecondFactorConfirm>;
export const SecondFactorEnd = Exact({ password: OwnPassword });
export type SecondFactorEnd = Data<typeof SecondFactorEnd>;

/** A one-time code with which a colleague chooses a new password; told once. */
export const ResetMade = Exact({ code: Type.String(), expiresAtMs: AtMs });
export type ResetMade = Data<typeof ResetMade>;
/** A teacher who cannot sign in any more chooses a new password. */
export const PasswordReset = Exact({ signInName: SignInName, code: Type.String({ minLength: 1, maxLength: 40 }), password: NewPassword });
export type PasswordReset = Data<typeof PasswordReset>;

/** A class goes to a colleague, with all that was taught in it. */
export const HandOver = Exact({ to: Uuid });
export type HandOver = Data<typeof HandOver>;
/** What goes with a class: told before it goes. */
export const HandOverCheck = Exact({
  lessons: Type.Integer({ minimum: 0 }),
  /** Of these lessons: those that are used elsewhere, too, and are there twice afterwards. */
  copied: Type.Integer({ minimum: 0 }),
  taught: Type.Integer({ minimum: 0 }),
  /** Whether a lesson with the class runs just now: it must end before. */
  running: Type.Boolean(),
});
export type HandOverCheck = Data<typeof HandOverCheck>;

/** What an account that is closed leaves. */
export const ClosingCheck = Exact({
  classes: Type.Array(Exact({ id: Uuid, name: ShortText, pupils: Type.Integer({ minimum: 0 }) })),
  lessons: Type.Integer({ minimum: 0 }),
  dials: Type.Integer({ minimum: 0 }),
});
export type ClosingCheck = Data<typeof ClosingCheck>;
/** An account is closed: lessons and dials go to a colleague, or, where nobody is named, are deleted with it. */
export const Closing = Exact({ lessonsTo: Nullable(Uuid) });
export type Closing = Data<typeof Closing>;
