import { Ajv } from 'ajv';
import { Closing, NameChange, PasswordChange, PasswordReset, SecondFactorConfirm } from './accounts.js';
import { ACT_NAMES, ActList, ActsKeep } from './acts.js';
import { SignIn } from './staff.js';

const ajv = new Ajv({ allErrors: true });
const ID = '11111111-1111-4111-8111-111111111111';

test.each([
  ['sign-in without a code', SignIn, { signInName: 'odalys', password: 'x' }],
  ['a code as it is typed', SignIn, { signInName: 'odalys', password: 'x', oneTimeCode: '123 456' }],
  ['names', NameChange, { name: 'Ms Fenn', signInName: 'fenn' }],
  ['another password', PasswordChange, { password: 'x', newPassword: 'ten letters' }],
  ['a reset', PasswordReset, { signInName: 'fenn', code: 'abcd-efgh-jkmn', password: 'ten letters' }],
  ['what an app was set up with', SecondFactorConfirm, { secret: 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567', code: '012345' }],
  ['lessons to a colleague', Closing, { lessonsTo: ID }],
  ['lessons to nobody', Closing, { lessonsTo: null }],
  ['a list kept for a week', ActsKeep, { keepDays: 7 }],
])('%s is taken', (_name, schema, data) => {
  const check = ajv.compile(schema);
  expect([check(data), check.errors]).toEqual([true, null]);
});

test.each([
  ['a short password', PasswordChange, { password: 'x', newPassword: 'nine char' }],
  ['a short password by reset', PasswordReset, { signInName: 'fenn', code: 'abcd', password: 'nine char' }],
  ['more than was asked', NameChange, { name: 'Ms Fenn', signInName: 'fenn', mayInvite: true }],
  ['no name', NameChange, { name: '', signInName: 'fenn' }],
  ['a secret that is no Base32', SecondFactorConfirm, { secret: 'abcdefghijklmnop', code: '012345' }],
  ['five digits', SecondFactorConfirm, { secret: 'ABCDEFGHIJKLMNOP', code: '01234' }],
  ['a colleague who has no id', Closing, { lessonsTo: 'Ruan' }],
  ['nothing said of the lessons', Closing, {}],
  ['a list kept for a day', ActsKeep, { keepDays: 1 }],
])('%s is refused', (_name, schema, data) => {
  expect(ajv.compile(schema)(data)).toBe(false);
});

test('every act is told by its name, and none by another', () => {
  const isList = ajv.compile(ActList);
  const list = (act: string) => ({ acts: [{ atMs: 0, act, who: '', about: '', count: 0 }], keepDays: 365 });
  expect(new Set(ACT_NAMES).size).toBe(ACT_NAMES.length);
  expect(ACT_NAMES.filter((act) => !isList(list(act)))).toEqual([]);
  expect(isList(list('pupil-praised'))).toBe(false);
});
