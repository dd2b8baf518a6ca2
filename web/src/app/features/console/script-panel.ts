import { ChangeDetectionStrategy, Component, computed, inject, input, output, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatTooltip } from '@angular/material/tooltip';
import { Store } from '@ngrx/store';
import { stepIndex } from '@zeitpunkt/core/lesson/prepare';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { spokenAnswer } from '@zeitpunkt/core/question-kinds/spoken-answer';
import { timesAsked } from '@zeitpunkt/core/run/asking';
import { beatTimes } from '@zeitpunkt/core/run/beat-times';
import { narrationAt } from '@zeitpunkt/core/stage/player';
import { talkOf } from '@zeitpunkt/core/talk/registry';
import { displayText } from '@zeitpunkt/core/time/display';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';
import { everySecond } from '../../shared/every-second';
import type { Shortcut } from '../../shared/shortcuts';
import { Steering } from '../../shared/steering';
import { liveFeature } from '../../state/live';
import { playOf } from '../../state/stage-play';
import { Icon } from '../../ui/icons/icon';
import { KeyHint } from '../../ui/parts/key-hint';
import type { BeatListShown } from './beat-list';
import { aboutStep, nameOfStep } from './coming';
import { FlowBar, flowShortcuts, thinkingAt } from './flow-bar';
import { NoteToSelf } from './note-to-self';
import { ScriptStage, scriptStageShortcuts } from './script-stage';
import { CONSOLE_WORDS } from './words';

/** Words of more letters are written smaller, so that they stand in one place. */
const LONGEST_LARGE = 150;

/** The keys of a lesson that runs, each within either half of a keyboard. */
export function scriptShortcuts(steering: Steering, panel: () => ScriptPanel | undefined): readonly Shortcut[] {
  const { keys } = CONSOLE_WORDS();
  return [
    ...steering.shortcuts,
    ...scriptStageShortcuts(() => panel()?.stage()),
    ...flowShortcuts(() => panel()?.flow()),
    { left: ['F'], right: ['J'], text: keys.jump, act: () => panel()?.openBeats() },
    { left: ['G'], right: ['K'], text: keys.skip, act: () => panel() && steering.skipBeat() },
    { left: ['Q'], right: ['U'], text: keys.toAsk, act: () => panel() && steering.leapToAsk() },
    { left: ['B'], right: ['N'], text: keys.note, act: () => panel()?.writeNote() },
  ];
}

/** The script as it is taught: the stage, what to read out, where the lesson stands and how it keeps its time. */
@Component({
  selector: 'zp-script-panel',
  imports: [FlowBar, Icon, KeyHint, MatButton, MatTooltip, NoteToSelf, ScriptStage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script-panel.html',
  styleUrl: './script-panel.scss',
})
export class ScriptPanel {
  /** What the large press says before the lesson has begun. */
  readonly begin = input('');
  /** The script is at its end, and the lesson may end too. */
  readonly end = output();
  private readonly store = inject(Store);
  private readonly dialog = inject(MatDialog);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().panel);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);
  protected readonly play = playOf(this.store, this.steering.ahead);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  readonly stage = viewChild(ScriptStage);
  readonly flow = viewChild(FlowBar);
  private readonly note = viewChild(NoteToSelf);
  protected readonly longest = LONGEST_LARGE;
  protected readonly nameOf = nameOfStep;
  /** The server's clock now, to the second, in milliseconds since 1970. */
  protected readonly serverNow = computed(() => this.now() - this.skewMs());

  protected readonly room = computed(() => this.detail()?.live.room);
  /** Where the script stands, as a number. */
  protected readonly stepIndex = computed(() => {
    const [prepared, room] = [this.prepared(), this.room()];
    return prepared && room ? stepIndex(prepared, room.run.at) : 0;
  });
  protected readonly step = computed(() => this.prepared()?.steps[this.stepIndex()]);
  private readonly narration = computed(() => {
    const [prepared, room] = [this.prepared(), this.room()];
    return prepared && room ? narrationAt(prepared, room.run.at) : '';
  });
  protected readonly nextStep = computed(() => this.prepared()?.steps[this.stepIndex() + 1]);
  protected readonly hasNextBeat = computed(() => (this.step()?.beatIndex ?? 0) + 1 < (this.prepared()?.lesson.beats.length ?? 0));
  /** What the large button does next. */
  protected readonly nextWords = computed(() => {
    if (this.room()?.phase === 'lobby') return this.begin();
    const example = this.steering.example();
    if (example && example.index < example.steps.length - 1) return this.words().example(example.index + 2, example.steps.length);
    if (this.steering.isAside()) return this.words().toScript;
    const beside = this.steering.besideAsking();
    if (beside && beside.phase !== 'revealed') return this.words().showAnswer;
    const next = this.nextStep();
    return next ? this.words().next(aboutStep(next, this.prepared()!)) : null;
  });
  /** What is said below it: who is waited for, or how long the beat has taken. */
  protected readonly nextNote = computed(() => {
    if (this.room()?.phase !== 'running') return '';
    const [detail, asking] = [this.detail(), this.asking()];
    if (detail && asking?.phase === 'open') {
      const thinking = thinkingAt(detail, asking);
      return thinking > 0 ? this.words().thinking(thinking) : this.words().allAnswered;
    }
    const time = this.beatTime();
    return time ? this.words().beat(lengthText(time.actualMs ?? 0), lengthText(time.plannedMs)) : '';
  });
  /** What follows the next step while the class answers. */
  protected readonly then = computed(() => {
    const prepared = this.prepared();
    if (!prepared) return null;
    const next = prepared.steps.slice(this.stepIndex() + 2).find(({ stepInBeat }) => stepInBeat === 0);
    return next ? aboutStep(next, prepared) : null;
  });
  /** What to read out now: of the script, or of what is put or shown beside it. */
  protected readonly notes = computed(() => {
    const example = this.steering.example();
    if (example) return example.steps[example.index]!.beat.text;
    const lesson = this.detail()?.lesson;
    if (lesson && this.steering.aside()?.shows?.kind === 'answer') return talkOf(lesson.settings).howCouldSomebody;
    return this.steering.besideAsking() === null ? this.narration() : this.besideNotes();
  });
  /** What to read out for a question beside the script: its stem, and once it is answered why. */
  private readonly besideNotes = computed(() => {
    const [beside, detail] = [this.steering.besideAsking(), this.detail()];
    if (!beside || !detail) return '';
    const { item, phase } = beside;
    const { settings } = detail.lesson;
    return phase === 'revealed' ? spokenAnswer(item, settings) : kindOf(item).viewOf(item, settings).stem;
  });
  /** What the hands show beside the script, in digits and words. */
  protected readonly asideWords = computed(() => {
    const [timeSec, settings] = [this.steering.aside()?.timeSec ?? null, this.detail()?.lesson.settings];
    if (timeSec === null || !settings) return '';
    const at = toSecondOfDay(timeSec);
    return `${displayText(at, settings.separator)} ${bestWording(at, WORD_PACKS[settings.pack])}`;
  });
  /** What is put beside the script, for the line that names where the lesson stands. */
  protected readonly besideWords = computed(() => {
    if (this.steering.example()) return this.words().beside.example;
    if (this.steering.aside()?.shows?.kind === 'chart') return this.words().beside.chart;
    if (this.steering.aside()?.shows?.kind === 'answer') return this.words().beside.answer;
    if (this.steering.isAside()) return this.words().beside.other;
    const beside = this.steering.besideAsking();
    if (!beside) return null;
    return timesAsked(this.room()!.run.askings, beside) > 1 ? this.words().beside.again : this.words().beside.another;
  });
  /** What the beat at hand was to take and has taken, in milliseconds. */
  protected readonly beatTime = computed(() => {
    const [prepared, room] = [this.prepared(), this.room()];
    if (!prepared || room?.phase !== 'running') return null;
    return beatTimes(prepared, room.run, this.serverNow()).find(({ beatId }) => beatId === room.run.at.beatId) ?? null;
  });
  openBeats(): void {
    void this.showBeats();
  }

  /** All beats with what they took, to leap to one of them. */
  private async showBeats(): Promise<void> {
    const { BeatList } = await import('./beat-list');
    const [prepared, room] = [this.prepared(), this.room()];
    if (!prepared || !room) return;
    const data: BeatListShown = { prepared, run: room.run, nowMs: this.serverNow(), leap: (beatId) => this.steering.leap(beatId) };
    this.dialog.open(BeatList, { data, width: '736px', maxWidth: '94vw' });
  }

  writeNote(): void {
    this.note()?.write();
  }
}
