// Two applications in one page: the pupil's desk loads nothing of the teacher's side, neither router nor store.
const started = /^\/desk(\/|$)/.test(location.pathname)
  ? import('./app/desk-start').then((desk) => desk.start())
  : import('./app/teacher-start').then((teacher) => teacher.start());

started.catch((error: unknown) => console.error(error));
