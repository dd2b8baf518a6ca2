import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  beatTimes,
  bestWording,
  displayText,
  kindOf,
  narrationAt,
  spokenAnswer,
  stepIndex,
  timesAsked,
  toSecondOfDay,
  WORD_PACKS,
  type RoomCommand,
} from '@zeitpunkt/core';
import { clock } from '../../shared/clock';
import { everySecond } from '../../shared/every-second';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature, type RoomAct } from '../../state/live';
import { playOf } from '../../state/stage-play';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import { Confirm } from '../../ui/confirm';
import { KeyList } from '../../ui/key-list';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { BeatList } from './beat-list';
import { Coming, nameOfStep } from './coming';
import { DoorPanel } from './door';
import { DoorTurn, doorWords } from './door-turn';
import { KeyShow } from './key-show';
import { NoteToSelf } from './note-to-self';
import { ScriptStage, scriptStageShortcuts } from './script-stage';
import { Wall } from './wall';
import { WhoIsHere } from './who-is-here';

/** The teacher's side of a live lesson: notes to read out, what comes next, the clock of the script, the answers coming in. */
@Component({
  selector: 'zp-console',
  imports: [
    BeatList,
    Coming,
    Confirm,
    DoorPanel,
    DoorTurn,
    KeyList,
    KeyShow,
    MatButton,
    MatTooltip,
    NoteToSelf,
    RouterLink,
    ScriptStage,
    Wall,
    WhoIsHere,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(click)': 'steering.tap($event)' },
  templateUrl: './console.html',
  styleUrl: './console.scss',
})
export class Console {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly steering = inject(Steering);
  protected readonly audienceKeys = AUDIENCE_KEYS;
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);
  protected readonly outdated = this.store.selectSignal(liveFeature.selectOutdated);
  protected readonly lineOpen = this.store.selectSignal(liveFeature.selectLineOpen);
  protected readonly problem = this.store.selectSignal(liveFeature.selectProblem);
  protected readonly play = playOf(this.store, this.steering.ahead);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  private readonly stage = viewChild(ScriptStage);
  private readonly beatList = viewChild(BeatList);
  private readonly note = viewChild(NoteToSelf);
  protected readonly nameOf = nameOfStep;
  protected readonly clock = clock;
  /** The server's clock now, to the second, in milliseconds since 1970. */
  protected readonly serverNow = computed(() => this.now() - this.skewMs());

  protected readonly room = computed(() => this.detail()?.live.room);
  /** Where the script stands, as a number. */
  protected readonly stepIndex = computed(() => {
    const [prepared, room] = [this.prepared(), this.room()];
    return prepared && room ? stepIndex(prepared, room.run.at) : 0;
  });
  protected readonly doorWords = computed(() => {
    const room = this.room();
    return room ? doorWords(room.door, this.serverNow()) : '';
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

  /** The keys of the console, each within either half of a keyboard. */
  protected readonly shortcuts: readonly Shortcut[] = [
    ...this.steering.shortcuts,
    ...scriptStageShortcuts(() => this.stage()),
    { left: ['F'], right: ['J'], text: 'Jump to a beat', act: () => this.openBeats() },
    { left: ['G'], right: ['K'], text: 'Skip the rest of this beat', act: () => this.steering.skipBeat() },
    { left: ['B'], right: ['N'], text: 'Note to self', act: () => this.note()?.write() },
    { left: ['V'], right: ['O'], text: 'Audience window', act: () => this.openAudience() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => this.store.dispatch(liveActions.open({ sessionId: this.id(), window: 'console' })));
    inject(DestroyRef).onDestroy(() => this.store.dispatch(liveActions.close()));
  }

  protected openAudience(): void {
    // Named, so that pressing again brings the same window to the front.
    window.open(`/audience/${this.id()}`, `audience-${this.id()}`, 'popup,width=1280,height=720');
  }

  protected openBeats(): void {
    if (this.room()?.phase === 'running') this.beatList()?.open();
  }

  protected act(act: RoomAct): void {
    this.store.dispatch(liveActions.act({ sessionId: this.id(), act }));
  }

  protected tell(command: RoomCommand): void {
    this.steering.tell(command);
  }

  protected closeAnswers(askingId: string): void {
    this.steering.tell({ type: 'close', askingId });
  }

  protected reload(): void {
    location.reload();
  }

  protected end(): void {
    this.steering.tell({ type: 'end' });
  }

  protected toReview(): void {
    void this.router.navigate(['/review', this.id()]);
  }
}
