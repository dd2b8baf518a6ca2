import { diagnose } from '@zeitpunkt/core/diagnosis/diagnose';
import type { DiagnosisNews, DiagnosisWish } from './diagnoser';

addEventListener('message', ({ data: { pupils, nowMs } }: MessageEvent<DiagnosisWish>) => {
  for (const { pupilId, answered } of pupils) {
    const news: DiagnosisNews = { pupilId, diagnosis: diagnose(answered, nowMs) };
    postMessage(news);
  }
});
