import { classLines, insightWorker, terns } from '../../testing/class-lines';
import { InsightSource } from './insight-source';

test('a worker that breaks says so to whoever waits; nothing is answered from an empty one, and the next look has another', async () => {
  classLines.lines = terns(Date.now());
  const source = new InsightSource();
  const looking = () => source.open('c1', Date.now(), () => undefined);
  expect((await looking()).className).toBe('Terns');
  const first = insightWorker;
  const waiting = source.answers({});
  await Promise.resolve(); // until it is asked
  first!.onerror!();
  await expect(waiting).rejects.toMatchObject({ code: 'NOT_LOOKED_THROUGH' });
  await expect(source.answers({})).rejects.toMatchObject({ code: 'NOT_LOOKED_THROUGH' });
  expect((await looking()).className).toBe('Terns');
  expect(insightWorker).not.toBe(first);
  expect((await source.answers({})).length).toBeGreaterThan(0);
});
