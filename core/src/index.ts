// What most places use. What only some use (paper, packages, insight, voice, rehearsal) comes by its file: whatever stands here is in
// the first view of the page.
export { CoreError, ERROR_CODES, type ErrorCode, type ErrorParams } from './errors.js';
export {
  hour12,
  hour24,
  minuteOfHour,
  nextHour12,
  previousHour12,
  secondOfDay,
  secondOfMinute,
  toSecondOfDay,
  wrapSecondOfDay,
  SECONDS_PER_DAY,
  SECONDS_PER_HALF_DAY,
  type SecondOfDay,
} from './time/second-of-day.js';
export { displayText, displayText24, minuteDigits, type DisplaySeparator } from './time/display.js';
export {
  gearedPose,
  hourHandDeg,
  minuteHandDeg,
  poseBetween,
  turnDeg,
  turnFree,
  turnGeared,
  wrapDeg,
  type HandId,
  type Pose,
} from './dial/pose.js';
export { coherenceOf, STRICTNESS, type Coherence, type Strictness } from './dial/coherence.js';
export { nearestTime } from './dial/nearest-time.js';
export { describeHand, describePose } from './dial/describe-pose.js';
export { dialNotes, type HandsSeen } from './dial/dial-notes.js';
export { hourProgress, type HourProgress } from './dial/hour-progress.js';
export { exchangeableMoments, overlapMoments } from './dial/moments.js';
export { readHourHand, readMinuteHand, type HourHandReading } from './dial/one-hand.js';
export { reportPose, type PoseReport } from './dial/possible.js';
export { durationText, later } from './time/duration.js';
export { lengthText } from './time/length-text.js';
export { earlierFirst, halfOfDay, inHalf, lastOnDial, nextOnDial, secondsUntil, type HalfOfDay } from './time/occurrence.js';
export { bestWording, say } from './words/say.js';
export { hear, LONGEST_HEARD, type Heard } from './words/hear.js';
export { readTimeEntry, type TimeEntry } from './words/time-entry.js';
export {
  BAND_CHOICES,
  freeHands,
  letGoIntoGear,
  MOST_BESIDE,
  NEW_BUILD,
  placeOf,
  poseOfBuild,
  setAside,
  setTime,
  stageOfBuild,
  switchBand,
  takeAway,
  takeUp,
  timeOfBuild,
  turnHand,
  type BandChoice,
  type DialBuild,
} from './stage/dial-build.js';
export { exampleSteps, leavesScript, MOST_ASIDE_MARKS, NEW_ASIDE, stageAside, type Aside, type GivenAnswer } from './stage/aside.js';
export { timeOnStage } from './scene/time-on-stage.js';
export { beatTimes, type BeatTime } from './run/beat-times.js';
export { dayEventsText, readDayEvents, type DayEvent } from './series/day-events.js';
export type { Band } from './scene/bands/band.js';
export { WORD_PACKS, type WordPackId } from './words/registry.js';
export type { CircleNode, GroupNode, Ink, Inks, PathNode, Scene, SceneNode, TextNode } from './scene/scene-node.js';
export { dialOf, EMPTY_LAYERS, PLAIN_LAYERS, TEACHING_LAYERS, type DialLayers, type DialMark, type DialState } from './scene/dial-state.js';
export { CLEAR_STAGE, dialsInOrder, displayOf, keepOnStage, type DisplayState, type StageState } from './scene/stage-state.js';
export { withMarks } from './scene/with-marks.js';
export { dialScene } from './scene/dial-scene.js';
export { stageScene, type StageLayout } from './scene/stage-scene.js';
export { describeDial, describeStage, dialLetter } from './scene/describe-stage.js';
export { DEFAULT_SETTINGS, narrationMs, type LessonSettings } from './lesson/settings.js';
export type { Lesson } from './lesson/lesson.js';
export { nameInLesson, wordsOf } from './lesson/beat-words.js';
export type { ExplainStep } from './stage/explain.js';
export {
  addBeats,
  addExample,
  addQuestion,
  addSay,
  changeBeat,
  changeItem,
  clipOf,
  duplicateBeat,
  edited,
  editStep,
  moveBeat,
  moveBeats,
  pasteClip,
  removeBeat,
  removeBeats,
  replaceItem,
  writeText,
  type Clip,
  type ScriptEdit,
} from './edit/edit.js';
export { timingOf, type Timing, type TimingOffer } from './lesson/timing.js';
export { thinkSecondsFor } from './lesson/think-times.js';
export { timesInText } from './words/times-in-text.js';
export { emptyLesson } from './edit/empty-lesson.js';
export { draftLesson, type DraftWish } from './draft/draft.js';
export { prepareLesson, prepareTyped, stepIndex, type PreparedLesson, type Step } from './lesson/prepare.js';
export { motionMs, narrationAt, stageAt, stageBefore, stepAt } from './stage/player.js';
export { ONLY_STEP, sameStep, type StepRef } from './lesson/step-ref.js';
export {
  BEAT_KINDS,
  beatKindOf,
  EXPANDING_KINDS,
  expandBeat,
  nameOfBeat,
  nameOfKind,
  type Beat,
  type BeatContext,
  type BeatKindId,
  type NewBeat,
  type PlayBeat,
} from './beats/registry.js';
export { mistakenReading } from './beats/mistake.js';
export { generatedSteps } from './beats/worked-example.js';
export { cardTime, patternOf, type CardPattern } from './lesson/card-pattern.js';
export { talkOf, tongueOf } from './talk/registry.js';
export { referenceChart } from './stage/reference-chart.js';
export type { SweepBeat } from './beats/sweep.js';
export { isMovingBeat, movingBeatOf, type MovingBeat } from './beats/moving.js';
export type { Mark, PartId, QuestionKind, Verdict } from './question-kinds/question-kind.js';
export { isRightVerdict } from './question-kinds/verdict.js';
export type { Picture } from './question-kinds/picture.js';
export type { ShapeId } from './question-kinds/shapes/shape.js';
export { isNotSure, NOT_SURE, type NotSure } from './question-kinds/not-sure.js';
export { spokenAnswer } from './question-kinds/spoken-answer.js';
export { markOf } from './question-kinds/marking.js';
export { makeItem } from './question-kinds/make-item.js';
export type { Choice } from './question-kinds/shapes/choices.js';
export { UNIT_QUESTIONS, type ClockPart } from './acts/acts.js';
export { isTimeOfWording } from './words/is-time-of-wording.js';
export type { DesignedSet, SetWish } from './diagnosis/design-set.js';
export type { LikelyIdea } from './diagnosis/information.js';
export type { Answered, Diagnosis, IdeaFinding, Sureness } from './diagnosis/diagnose.js';
export {
  canBeGiven,
  kindOf,
  QUESTION_KIND_IDS,
  QUESTION_KINDS,
  type Item,
  type ItemOf,
  type ItemView,
  type QuestionKindId,
  type Response,
  type ResponseOf,
  type ViewOf,
  textOfResponse,
  type KindResponse,
} from './question-kinds/registry.js';
export { RUNGS, rungOf, type RungId, RUNG_IDS, rungAfter, rungIdOf } from './ladder/registry.js';
export { timeOnRung, type Rung } from './ladder/rung.js';
export { criteriaOf } from './ladder/criteria.js';
export { MATERIALS, type MaterialId } from './ladder/materials.js';
export { MISCONCEPTION_IDS, MISCONCEPTIONS, misconceptionOf, type MisconceptionId } from './misconceptions/registry.js';
export type { Misconception } from './misconceptions/misconception.js';
export type { NamedFinding } from './checker-rules/check.js';
export { moreTimeFor, NO_CALLS, type Calls } from './live/calls.js';
export { admitsNewcomers, DOOR_MODES, DOOR_OPEN_MS, isDoorOpen, type Door, type DoorMode } from './live/door.js';
export type { RoomCommand, RoomHappening, RoomState } from './live/room.js';
export { timesAsked, type Asking, type AskingPhase } from './run/asking.js';
export { currentAsking, isRevealed, newRun, type Run } from './run/run.js';
export { motionOfRun, stageOfRun } from './run/run-stage.js';
export { viewOfRun, type RunView } from './run/run-view.js';
export { LatestAttempts } from './run/latest.js';
export { sameJson } from './same-json.js';
export type { Check } from './formats/format.js';
export { STORED_FORMATS, type StoredFormatId } from './formats/registry.js';
export {
  readClassFile,
  readDialBuild,
  readLesson,
  readPlan,
  readMark,
  readResponse,
  readResult,
  readRoomState,
  readRun,
  readStage,
  readTake,
  readWaiting,
  writeClassFile,
  writeDialBuild,
  writeLesson,
  writePlan,
  writeMark,
  writeResponse,
  writeResult,
  writeRoomState,
  writeRun,
  writeStage,
  writeTake,
  writeWaiting,
} from './formats/stored.js';
export type { KeyPicture, RoomKey } from './live/room-key.js';
export { seededRng, type Rng } from './random/rng.js';
export type { PupilProfile } from './rehearsal/simulated-pupil.js';
export { checkPlan } from './series/check-plan.js';
export {
  NEW_PLAN,
  type ClassPlan,
  type DailyCards,
  type IsoDate,
  type LessonTime,
  type PlannedLesson,
  type Series,
  type Weekday,
} from './series/plan.js';
export { countDays, daysOn, daysThatCount, dayOf, isIsoDate, mondayOf, weekdayOf } from './series/school-days.js';
export {
  cardOn,
  cardsDue,
  daysToPlan,
  moveInSeries,
  plannedLessons,
  planOn,
  movedLessons,
  putOn,
  schoolDaysFrom,
  seriesLessons,
  takeOutOfPlan,
  seriesWishes,
  toggleDayOff,
  toggleSkipped,
  type MovedLesson,
  type SeriesWish,
} from './series/series.js';
export { suggestNext, type GivenLesson, type Suggestion } from './series/suggest.js';
export type { RosterColumns, RosterEntry, RosterPupil, RosterRow } from './roster/roster.js';
export { answerTimes, plannedThinkSec, type AnswerTimes, type ClassTimes } from './run/answer-times.js';
export type { InsightAnswer } from './insight/insight-answer.js';
export type { Mastery, MasteryWord } from './insight/mastery.js';
export type { AnswerGroup, ItemFacts } from './insight/item-facts.js';
export type { LessonSeen, StoodOut } from './insight/stood-out.js';
export type { ClassPicture, Holder, IdeaPicture, PupilPicture } from './insight/class-picture.js';
export type { Change, ClassChange } from './insight/change.js';
export type { FollowUp, Group, GroupKey, Groups, Moved } from './insight/groups.js';
export type { HomeHeadings, HomePage } from './insight/home-page.js';
export type { AnswerFilter, MasteryPoint } from './insight/insight-book.js';
export { correctedMark } from './question-kinds/corrected-mark.js';
export { acceptingItem, wordingsOf, type ClassWording } from './question-kinds/class-wordings.js';
export type { ResultRow } from './insight/result-row.js';
export type { Cue, Span, Take } from './voice/take.js';
export type { Speech } from './voice/speech.js';
export type { LevelFault, LevelWatch } from './voice/level-watch.js';
export type { VoicedStep } from './voice/takes-of.js';
export type { Film, Shot, ThinkAs } from './voice/film.js';
export type { Chapter } from './voice/chapters.js';
export { generateVoice, wavFile, type GeneratedVoice } from './rehearsal/generated-voice.js';
export { rungOfLesson } from './lesson/rung-of-lesson.js';
export type { Measure, PaperLook, PaperPage, PaperSize } from './paper/paper-page.js';
export type { PaperPart, PaperWish, SheetCopy } from './paper/paper-wish.js';
export type { SheetVersion } from './paper/versions.js';
export type { QrMatrix } from './paper/handouts/join-cards.js';
export type { QtiPackage } from './qti/out/package-out.js';
export type { DocumentOf, PackageRead } from './qti/in/package-in.js';
export type { XmlElement, XmlNode } from './qti/xml.js';
export type { ClassFile } from './formats/class-file/class-file.js';
