import { allOfPupil } from '../../testing/all-of-pupil.js';
import { reading, respond, schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const { rows, run, pointers, fill } = allOfPupil(() => [school, teacher, room]);

test('whatever points to a pupil points to the one who stays after they were made one', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('7', '30'));
  const [goes, stays] = [room.pupilId('Anouk'), room.pupilId('Bashir')];
  await fill(goes);
  const all = pointers();
  expect(all.length).toBeGreaterThanOrEqual(8);
  const count = ({ table, column }: (typeof all)[number], pupilId: string) =>
    rows(`SELECT count(*) AS n FROM "${table}" WHERE "${column}" = ?`, pupilId)[0]!['n'];
  const before = all.map((one) => ({ ...one, n: count(one, goes) }));
  for (const one of before) expect(one).not.toMatchObject({ n: 0 });
  expect((await teacher.send('POST', `/api/classes/${room.detail.classId}/pupils/${goes}/merge`, { into: stays })).statusCode).toBe(200);
  expect(all.map((one) => ({ ...one, n: count(one, stays) }))).toEqual(before);
  expect(rows('PRAGMA foreign_key_check')).toEqual([]);
});

test('where both have one of a kind, nothing is doubled, and the later or the farther one counts', async () => {
  const [goes, stays] = [room.pupilId('Anouk'), room.pupilId('Bashir')];
  await fill(stays);
  const [{ session_id: session }] = rows('SELECT session_id FROM own_place WHERE pupil_id = ?', stays) as [{ session_id: string }];
  school.clockMs += 1000;
  await fill(goes);
  run('UPDATE home_page SET can = ? WHERE pupil_id = ?', 'later', goes);
  run(
    'INSERT INTO own_place (session_id, pupil_id, heard_at_ms, finished_at_ms, line) VALUES (?, ?, 5, 6, ?)',
    session,
    goes,
    'Well done.',
  );
  expect((await teacher.send('POST', `/api/classes/${room.detail.classId}/pupils/${goes}/merge`, { into: stays })).statusCode).toBe(200);
  expect(rows('SELECT can FROM home_page')).toEqual([{ can: 'later' }]);
  expect(rows('SELECT token_hash FROM card')).toEqual([{ token_hash: `hash of ${stays}` }]);
  expect(rows('SELECT pupil_id, finished_at_ms, line FROM own_place WHERE session_id = ?', session)).toEqual([
    { pupil_id: stays, finished_at_ms: 6, line: 'Well done.' },
  ]);
  expect(rows('SELECT count(*) AS n FROM group_move')).toEqual([{ n: 1 }]);
  expect(rows('SELECT pupil_id FROM sheet_copy')).toEqual([{ pupil_id: stays }]);
});
