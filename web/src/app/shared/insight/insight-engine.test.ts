import { classLines, terns } from '../../testing/class-lines';
import { InsightEngine } from './insight-engine';

const NOW = Date.UTC(2026, 10, 27);

test('who left the class is not reckoned with: neither a picture nor an answer of theirs is there', async () => {
  classLines.lines = terns(NOW).map((line) =>
    line.line === 'class' ? { ...line, pupils: line.pupils.filter(({ id }) => id !== 'Anouk') } : line,
  );
  const engine = new InsightEngine(async function* () {
    yield* classLines.lines.map((line) => JSON.stringify(line));
  });
  const reply = await engine.answer({ id: 1, ask: 'open', classId: 'c1', nowMs: NOW }, () => undefined);
  const { picture } = reply as unknown as { picture: { pupils: { id: string }[]; ideas: { holders: { pupilId: string }[] }[] } };
  expect(picture.pupils.map(({ id }) => id)).toEqual(['Bashir', 'Ceri', 'Dov']);
  expect(picture.ideas.flatMap(({ holders }) => holders.map(({ pupilId }) => pupilId))).not.toContain('Anouk');
  const answers = await engine.answer({ id: 2, ask: 'answers', filter: { pupilId: 'Anouk' } }, () => undefined);
  expect(JSON.stringify(answers)).not.toContain('Anouk');
});
