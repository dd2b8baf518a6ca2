import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** The demo is taught up to this day, so that the same is written each time. */
const NOW = Date.UTC(2026, 10, 27, 12);

/**
 * What the class review says of the demo's pupils, beside the ideas they were made with.
 * @param server the parts of the server that teach the demo, `engine` what looks at the answers in the browser
 * @returns of each pupil and idea that is held, was held or is said to be: its truth and how sure the review is
 */
export async function storySeen({ openStore, seedDemo, InsightLines, pupilsOf, allClasses, profileAfter, TAUGHT }, { InsightEngine }) {
  const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-story-'));
  const store = openStore({ dataDir, migrationsDir: resolve('server/drizzle') });
  try {
    await seedDemo(store, NOW);
    const [terns] = allClasses(store.db);
    const engine = new InsightEngine((id) => new InsightLines(store.db).of({ id, name: 'Terns' }, pupilsOf(store.db, id)));
    const { picture } = await engine.answer({ id: 1, ask: 'open', classId: terns.id, nowMs: NOW }, () => undefined);
    return picture.pupils.flatMap(({ name, diagnosis }) => {
      const over = TAUGHT.map((_, lesson) => new Set(profileAfter(name, lesson).misconceptions));
      const ideas = new Set(over.flatMap((held) => [...held]));
      const now = new Set(profileAfter(name, TAUGHT.length).misconceptions);
      const said = new Map(diagnosis.ideas.map((one) => [one.id, one]));
      for (const { id, sureness } of diagnosis.ideas) if (sureness === 'settled' || sureness === 'likely') ideas.add(id);
      return [...ideas].map((idea) => {
        const finding = said.get(idea);
        const truth = now.has(idea) ? 'held' : over.some((held) => held.has(idea)) ? 'let go' : 'never';
        const lessons = over.filter((held) => held.has(idea)).length;
        return {
          name,
          idea,
          truth,
          lessons,
          sureness: finding?.sureness ?? 'not seen',
          hits: finding?.hits ?? 0,
          chances: finding?.chances ?? 0,
        };
      });
    });
  } finally {
    store.close();
    rmSync(dataDir, { recursive: true });
  }
}
