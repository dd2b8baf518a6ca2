// What the oldest of our browsers lack comes first, and to them alone.
const isOld = !('at' in Array.prototype && 'findLast' in Array.prototype && 'hasOwn' in Object);
const ready = isOld ? import('./app/old-browsers') : Promise.resolve();

// Two applications in one page: the pupil's desk loads nothing of the teacher's side, neither router nor store.
const begin = () =>
  /^\/desk(\/|$)/.test(location.pathname)
    ? import('./app/desk-start').then((desk) => desk.start())
    : import('./app/teacher-start').then((teacher) => teacher.start());

ready.then(begin).catch((error: unknown) => console.error(error));
