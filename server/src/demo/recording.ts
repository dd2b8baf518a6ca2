import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { generateVoice, wavFile } from '@zeitpunkt/core/rehearsal/generated-voice';
import type { Take } from '@zeitpunkt/core/voice/take';
import { cuesOf } from '@zeitpunkt/core/voice/align';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { levelsOf } from '@zeitpunkt/core/voice/levels';
import { shiftSpans, speechIn } from '@zeitpunkt/core/voice/speech';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { randomUUID } from 'node:crypto';
import type { Store } from '../db/connection.js';
import { stored } from '../db/stored.js';
import { ownLesson } from '../features/lessons/queries.js';
import { insertTake, makeCurrent, setSound, touchRecording } from '../features/voice/queries.js';

/** A hum needs no more samples a second. */
const RATE = 8000;
const MIME = 'audio/wav';

/** Records a lesson with a generated sound that has the rhythm of speech: each step that says something gets its take. */
export function recordDemo(store: Store, { teacherId, lessonId, nowMs }: { teacherId: string; lessonId: string; nowMs: number }): void {
  const { db } = store;
  const row = ownLesson(db, teacherId, lessonId)!;
  const prepared = prepareLesson(stored.lesson(row.draft, row.title));
  const { wordsPerMinute } = prepared.lesson.settings;
  store.sqlite.transaction(() => {
    touchRecording(db, lessonId, nowMs);
    voicedSteps(prepared, []).forEach(({ step, words }, index) => {
      if (!words.trim()) return;
      const { samples } = generateVoice(words, { rate: RATE, wordsPerMinute, seed: 900 + index });
      const speech = speechIn(levelsOf(samples, RATE));
      if (!speech) return;
      const { fromMs, toMs } = speech.kept;
      const spans = shiftSpans(speech.spans, -fromMs);
      const durationMs = toMs - fromMs;
      const take: Take = {
        id: randomUUID(),
        at: step.ref,
        durationMs,
        mime: MIME,
        speechDb: speech.speechDb,
        speech: spans,
        said: words,
        fingerprint: fingerprintOf(prepared, step.ref),
        cues: cuesOf(words, spans, durationMs),
        cuesEdited: false,
        madeAtMs: nowMs,
        generated: true,
      };
      const kept = samples.subarray((fromMs * RATE) / 1000, (toMs * RATE) / 1000);
      insertTake(db, lessonId, take);
      setSound(db, take.id, Buffer.from(wavFile(kept, RATE)), MIME);
      makeCurrent(db, lessonId, take);
    });
  })();
}
