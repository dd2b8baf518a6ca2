import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Me, PasswordReset, SetUp, SignIn, Teacher } from '@zeitpunkt/contract';

/** Who is signed in, shared by all of the teacher's places. */
export interface AuthState {
  /** Whether the server has been asked. */
  readonly known: boolean;
  readonly teacher: Teacher | null;
  readonly setUpNeeded: boolean;
  readonly busy: boolean;
  /** The password was right, and a one-time code is asked for. */
  readonly codeNeeded: boolean;
  /** Why the last try failed, for the screen. */
  readonly problem: string | null;
}

export const authActions = createActionGroup({
  source: 'Auth',
  events: {
    Asked: emptyProps(),
    Told: props<{ me: Me }>(),
    'Sign in': props<{ form: SignIn; then: string }>(),
    'Set up': props<{ form: SetUp; invited: boolean }>(),
    'Signed in': props<{ me: Me; then: string }>(),
    Failed: props<{ problem: string; codeNeeded?: boolean }>(),
    'Choose password': props<{ form: PasswordReset }>(),
    'Sign out': emptyProps(),
    'Signed out': emptyProps(),
  },
});

const start: AuthState = { known: false, teacher: null, setUpNeeded: false, busy: false, codeNeeded: false, problem: null };
const toldBy = (state: AuthState, { me }: { me: Me }): AuthState => ({
  ...state,
  known: true,
  busy: false,
  codeNeeded: false,
  problem: null,
  ...me,
});
const tryAgain = (state: AuthState): AuthState => ({ ...state, busy: true, problem: null });

export const authFeature = createFeature({
  name: 'auth',
  reducer: createReducer(
    start,
    on(authActions.told, authActions.signedIn, toldBy),
    on(authActions.signIn, authActions.setUp, authActions.choosePassword, tryAgain),
    // Once a code is asked for it stays so, also where it was wrong.
    on(authActions.failed, (state, { problem, codeNeeded }): AuthState => ({
      ...state,
      busy: false,
      problem,
      codeNeeded: codeNeeded ?? state.codeNeeded,
    })),
    on(authActions.signedOut, (): AuthState => ({ ...start, known: true })),
  ),
});
