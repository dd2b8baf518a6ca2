import { Injectable } from '@angular/core';
import type { Answered, Diagnosis } from '@zeitpunkt/core/diagnosis/diagnose';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import type { SessionDetail } from '@zeitpunkt/contract';
import { counts } from '../late';
import { ApiProblem } from '../api';

/** One pupil with all that they answered. */
export interface PupilAnswers {
  readonly pupilId: string;
  readonly answered: readonly Answered[];
}

export interface DiagnosisWish {
  readonly pupils: readonly PupilAnswers[];
  readonly nowMs: number;
}

/** What the worker tells after each pupil. */
export interface DiagnosisNews {
  readonly pupilId: string;
  readonly diagnosis: Diagnosis;
}

/** Pupils whose answers are looked through; `stop` gives up the rest. */
export interface Diagnosing {
  readonly done: Promise<ReadonlyMap<string, Diagnosis>>;
  stop(): void;
}

/** Looks for ideas in the answers of a class, in a worker: the page stays quick meanwhile. */
@Injectable({ providedIn: 'root' })
export class Diagnoser {
  diagnose(wish: DiagnosisWish, onProgress: (part: number) => void = () => undefined): Diagnosing {
    let worker: Worker | null = null;
    let isStopped = false;
    const done = new Promise<ReadonlyMap<string, Diagnosis>>((resolve, reject) => {
      const found = new Map<string, Diagnosis>();
      if (wish.pupils.length === 0) return resolve(found);
      import('./start-diagnosis').then(({ startDiagnosis }) => {
        if (isStopped) return;
        worker = startDiagnosis();
        worker.onmessage = ({ data }: MessageEvent<DiagnosisNews>) => {
          found.set(data.pupilId, data.diagnosis);
          onProgress(found.size / wish.pupils.length);
          if (found.size < wish.pupils.length) return;
          worker?.terminate();
          resolve(found);
        };
        worker.onerror = () => reject(new ApiProblem('NOT_LOOKED_THROUGH', 'The answers could not be looked through on this device.'));
        worker.postMessage(wish);
      }, reject);
    });
    return {
      done,
      stop() {
        isStopped = true;
        worker?.terminate();
      },
    };
  }
}

/** The answers of each pupil in some taught lessons: the latest that counts to each question that was asked. */
export function answersIn(details: readonly SessionDetail[]): PupilAnswers[] {
  const byPupil = new Map<string, Answered[]>();
  for (const { live, lesson } of details) {
    const latest = new LatestAttempts(live.responses.filter(counts));
    for (const { id, item } of live.room.run.askings) {
      for (const [pupilId, one] of latest.at(id)) {
        const { id: answerId, response, receivedAtMs: atMs, mark } = one;
        const answered = { id: answerId, item, response, settings: lesson.settings, atMs, verdict: mark.verdict };
        byPupil.set(pupilId, [...(byPupil.get(pupilId) ?? []), answered]);
      }
    }
  }
  return [...byPupil].map(([pupilId, answered]) => ({ pupilId, answered }));
}
