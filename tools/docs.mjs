import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle } from './lib/bundle.mjs';
import { diagnosisPage } from './lib/diagnosis-page.mjs';
import { limitsPage } from './lib/limits-page.mjs';
import { feedbackPage } from './lib/feedback.mjs';
import { storySeen } from './lib/story-seen.mjs';
import { masteryPage, storyPage } from './lib/story-page.mjs';
import { ROOT } from './lib/shell.mjs';

// Writes the parts of docs/ that are made from code. A test compares them with the code.
const cache = 'node_modules/.cache/zeitpunkt';
const load = async (entry, name) => {
  await bundle(entry, `${cache}/${name}.mjs`);
  return import(pathToFileURL(join(ROOT, cache, `${name}.mjs`)));
};
const { ERROR_CODES } = await load('core/src/errors.ts', 'errors');
const { STATUS_OF } = await load('server/src/http/problems.ts', 'problems');
const contract = await load('contract/src/index.ts', 'contract');
const { PAGE_CODES } = await load('web/src/app/shared/page-codes.ts', 'page-codes');
const onPages = Object.entries(PAGE_CODES).map(([code, meaning]) => `| ${code} | ${meaning} |`);
const rows = Object.entries(ERROR_CODES).map(([code, meaning]) => `| ${code} | ${STATUS_OF[code]} | ${meaning} |`);
writeFileSync(
  join(ROOT, 'docs/error-codes.md'),
  `# Error codes\n\nWritten by \`npm run docs\`. Over HTTP each comes as problem JSON (RFC 9457) with this status, the code, one plain sentence and, by name, what the sentence speaks of.\n\n| code | status | meaning |\n| --- | --- | --- |\n${rows.join('\n')}\n\n## On a device itself\n\n| code | meaning |\n| --- | --- |\n${onPages.join('\n')}\n`,
);
writeFileSync(join(ROOT, 'docs/limits.md'), limitsPage(contract));
const core = await load('core/src/testing/for-docs.ts', 'core');
writeFileSync(join(ROOT, 'docs/feedback.md'), feedbackPage(core));
const { measureDiagnosis, measureLettingGo } = await load('core/src/diagnosis/measure.ts', 'measure');
const MODEL = await load('core/src/diagnosis/model.ts', 'model');
const { measureMastery } = await load('core/src/insight/measure-mastery.ts', 'measure-mastery');
const masteryModel = await load('core/src/insight/mastery-model.ts', 'mastery-model');
const seen = await storySeen(
  await load('server/src/demo/for-docs.ts', 'demo'),
  await load('web/src/app/shared/insight/insight-engine.ts', 'insight-engine'),
);
const parts = [
  diagnosisPage({ ...core, measureDiagnosis, measureLettingGo, MODEL }),
  storyPage(seen, core).join('\n'),
  masteryPage(measureMastery(4000, 7), masteryModel).join('\n'),
];
writeFileSync(join(ROOT, 'docs/diagnosis.md'), `${parts.join('\n\n').replaceAll('\n\n\n', '\n\n')}\n`);
writeFileSync(join(ROOT, 'docs/lesson-file.schema.json'), `${JSON.stringify(contract.LessonSchema, null, 2)}\n`);
