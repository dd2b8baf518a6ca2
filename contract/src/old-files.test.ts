import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Check } from '@zeitpunkt/core/formats/format';
import { STORED_FORMATS, type StoredFormatId } from '@zeitpunkt/core/formats/registry';
import {
  readClassFile,
  readDialBuild,
  readLesson,
  readMark,
  readPlan,
  readResponse,
  readResult,
  readRoomState,
  readRun,
  readStage,
  readTake,
  readWaiting,
} from '@zeitpunkt/core/formats/stored';
import type { TSchema } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import { ClassFileSchema } from './archive.js';
import { Waiting } from './desk.js';
import { DialBuildSchema, LessonSchema } from './lesson-file.js';
import { ClassPlanSchema } from './plan.js';
import { ResponseSchema } from './question-kinds/registry.js';
import { MarkSchema } from './responses.js';
import { ResultRowSchema } from './results.js';
import { StageStateSchema } from './stage.js';
import { RoomStateSchema, RunSchema } from './teacher.js';
import { TakeSchema } from './voice.js';

// Every version of everything that was ever stored is read for ever. A file is added with each version and never changed.
const FOLDER = join(__dirname, '../../core/src/formats/old-files');
const ajv = new Ajv({ discriminator: true });
const checkOf = (schema: TSchema): Check => {
  const fits = ajv.compile(schema as object);
  return (data) => (fits(data) ? null : ajv.errorsText(fits.errors));
};

const lessonOf = (text: string) => readLesson(text, '', checkOf(LessonSchema));
const READERS: Record<StoredFormatId, (text: string) => unknown> = {
  lesson: lessonOf,
  'dial-build': (text) => readDialBuild(text, '', checkOf(DialBuildSchema)),
  // The rooms in the folder taught the first lesson in it.
  'room-state': (text) => readRoomState(text, lessonOf(readFileSync(join(FOLDER, 'lesson/1.json'), 'utf8')), checkOf(RoomStateSchema)),
  run: (text) => readRun(text, '', checkOf(RunSchema)),
  plan: (text) => readPlan(text, '', checkOf(ClassPlanSchema)),
  mark: (text) => readMark(text, '', checkOf(MarkSchema)),
  response: (text) => readResponse(text, '', checkOf(ResponseSchema)),
  waiting: (text) => readWaiting(text, checkOf(Waiting)),
  result: (text) => readResult(text, '', checkOf(ResultRowSchema)),
  take: (text) => readTake(text, '', checkOf(TakeSchema)),
  'class-file': (text) => readClassFile(text, checkOf(ClassFileSchema)),
  stage: (text) => readStage(text, checkOf(StageStateSchema)),
};

const files = readdirSync(FOLDER).flatMap((format) =>
  readdirSync(join(FOLDER, format)).map((file) => [format as StoredFormatId, file] as const),
);

test.each(files)('%s %s is read', (format, file) => {
  expect(READERS[format](readFileSync(join(FOLDER, format, file), 'utf8'))).toBeTruthy();
});

test('every version of every format, today’s too, has a file that says so', () => {
  for (const [format, { migrations }] of Object.entries(STORED_FORMATS)) {
    const versions = new Set(
      readdirSync(join(FOLDER, format)).map((file) => {
        const { formatVersion = 1 } = JSON.parse(readFileSync(join(FOLDER, format, file), 'utf8')) as { formatVersion?: number };
        expect(file).toMatch(new RegExp(`^${formatVersion}[-.]`));
        return formatVersion;
      }),
    );
    expect([format, [...versions].sort()]).toEqual([format, Array.from({ length: migrations.length + 1 }, (_, index) => index + 1)]);
  }
});
