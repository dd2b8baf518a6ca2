import { authActions, authFeature } from './auth';

const { reducer } = authFeature;
const start = reducer(undefined, { type: 'start' });
const me = { teacher: { id: 't', name: 'Ms Odalys Fenn' }, setUpNeeded: false };

test('nobody is known until the server has been asked', () => {
  expect(start).toEqual({ known: false, teacher: null, setUpNeeded: false, busy: false, codeNeeded: false, problem: null });
  expect(reducer(start, authActions.told({ me }))).toMatchObject({ known: true, ...me });
});

test('a try that fails keeps its sentence until the next one begins, and signing out forgets who it was', () => {
  const form = { signInName: 'odalys', password: 'lamp' };
  const trying = reducer(start, authActions.signIn({ form, then: '/lessons' }));
  expect(trying).toMatchObject({ busy: true, problem: null });
  const failed = reducer(trying, authActions.failed({ problem: 'Please check both.' }));
  expect(failed).toMatchObject({ busy: false, problem: 'Please check both.' });
  expect(reducer(failed, authActions.signIn({ form, then: '/lessons' })).problem).toBeNull();
  expect(reducer(reducer(start, authActions.signedIn({ me, then: '/lessons' })), authActions.signedOut())).toMatchObject({
    known: true,
    teacher: null,
  });
});
