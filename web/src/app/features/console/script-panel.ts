import { ChangeDetectionStrategy, Component, computed, inject, output, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import { Store } from '@ngrx/store';
import {
  beatTimes,
  bestWording,
  displayText,
  kindOf,
  lengthText,
  narrationAt,
  spokenAnswer,
  stepIndex,
  talkOf,
  timesAsked,
  toSecondOfDay,
  WORD_PACKS,
} from '@zeitpunkt/core';
import { everySecond } from '../../shared/every-second';
import type { Shortcut } from '../../shared/shortcuts';
import { Steering } from '../../shared/steering';
import { liveFeature } from '../../state/live';
import { playOf } from '../../state/stage-play';
import { BeatList } from './beat-list';
import { nameOfStep } from './coming';
import { NoteToSelf } from './note-to-self';
import { ScriptStage, scriptStageShortcuts } from './script-stage';

/** The keys of a lesson that runs, each within either half of a keyboard. */
export function scriptShortcuts(steering: Steering, panel: () => ScriptPanel | undefined): readonly Shortcut[] {
  return [
    ...steering.shortcuts,
    ...scriptStageShortcuts(() => panel()?.stage()),
    { left: ['F'], right: ['J'], text: 'Jump to a beat', act: () => panel()?.openBeats() },
    { left: ['G'], right: ['K'], text: 'Skip the rest of this beat', act: () => panel() && steering.skipBeat() },
    { left: ['Q'], right: ['U'], text: 'To the next question', act: () => panel() && steering.leapToAsk() },
    { left: ['B'], right: ['N'], text: 'Note to self', act: () => panel()?.writeNote() },
  ];
}

/** The script as it is taught: the stage, what to read out, where the lesson stands and how it keeps its time. */
@Component({
  selector: 'zp-script-panel',
  imports: [BeatList, MatButton, MatTooltip, NoteToSelf, ScriptStage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script-panel.html',
  styleUrl: './script-panel.scss',
})
export class ScriptPanel {
  /** The script is at its end, and the lesson may end too. */
  readonly end = output();
  private readonly store = inject(Store);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly play = playOf(this.store, this.steering.ahead);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  readonly stage = viewChild(ScriptStage);
  private readonly beatList = viewChild(BeatList);
  private readonly note = viewChild(NoteToSelf);
  protected readonly nameOf = nameOfStep;
  protected readonly clock = lengthText;
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
    const example = this.steering.example();
    if (example && example.index < example.steps.length - 1) return `Example: step ${example.index + 2} of ${example.steps.length}`;
    if (this.steering.isAside()) return 'Back to the script';
    const beside = this.steering.besideAsking();
    if (beside && beside.phase !== 'revealed') return 'Show the answer';
    const next = this.nextStep();
    return next ? `Next: ${nameOfStep(next)}` : null;
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
    if (this.steering.example()) return 'Example beside the script:';
    if (this.steering.aside()?.shows?.kind === 'chart') return 'The reference chart';
    if (this.steering.aside()?.shows?.kind === 'answer') return 'Talking about an answer, without a name';
    if (this.steering.isAside()) return 'Beside the script:';
    const beside = this.steering.besideAsking();
    if (!beside) return null;
    return timesAsked(this.room()!.run.askings, beside) > 1 ? 'Asked again' : 'Another like it';
  });
  protected readonly elapsedSec = computed(() => {
    const begun = this.room()?.begunAtMs;
    return begun === undefined || begun === null ? 0 : Math.max(0, Math.floor((this.serverNow() - begun) / 1000));
  });
  /** What the beat at hand was to take and has taken, in milliseconds. */
  protected readonly beatTime = computed(() => {
    const [prepared, room] = [this.prepared(), this.room()];
    if (!prepared || room?.phase !== 'running') return null;
    return beatTimes(prepared, room.run, this.serverNow()).find(({ beatId }) => beatId === room.run.at.beatId) ?? null;
  });
  /** Whole minutes behind the plan; ahead of it when negative. */
  protected readonly behindMin = computed(() => Math.round((this.elapsedSec() - (this.step()?.startMs ?? 0) / 1000) / 60));

  openBeats(): void {
    this.beatList()?.open();
  }

  writeNote(): void {
    this.note()?.write();
  }
}
