import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  type TemplateRef,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { keepShapesReady } from '../../question-views/shape-views';
import { everySecond } from '../../shared/every-second';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature, type RoomAct } from '../../state/live';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import { Icon } from '../../ui/icons/icon';
import { LineLost } from '../../ui/line-lost';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { KeyHint } from '../../ui/parts/key-hint';
import { Notice } from '../../ui/parts/notice';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { wallShortcuts } from './answers-panel';
import { DoorPanel } from './door';
import { DoorTurn, doorWords } from './door-turn';
import { KeyShow } from '../../shared/room-key/key-show';
import { Lobby } from './lobby';
import { scriptShortcuts } from './script-panel';
import { SimulatedPanel } from './simulated-panel';
import { Teaching } from './teaching';
import { WhoIsHere } from './who-is-here';
import { CONSOLE_WORDS } from './words';

/** The teacher's side of a live lesson: the lobby before it begins, then what to say and press now, and the class. */
@Component({
  selector: 'zp-console',
  imports: [
    DoorPanel,
    DoorTurn,
    Failing,
    Icon,
    KeyHint,
    KeyShow,
    LineLost,
    Loading,
    Lobby,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    Place,
    RouterLink,
    SimulatedPanel,
    Teaching,
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
  private readonly dialog = inject(MatDialog);
  private readonly askFirst = inject(AskFirst);
  private readonly notice = inject(Notice);
  protected readonly words = CONSOLE_WORDS;
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly outdated = this.store.selectSignal(liveFeature.selectOutdated);
  protected readonly lineOpen = this.store.selectSignal(liveFeature.selectLineOpen);
  protected readonly problem = this.store.selectSignal(liveFeature.selectProblem);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  private readonly teaching = viewChild(Teaching);
  private readonly lobby = viewChild(Lobby);
  private readonly atDoor = viewChild(DoorPanel);
  private readonly doorDialog = viewChild.required<TemplateRef<unknown>>('door');
  private readonly simulatedDialog = viewChild.required<TemplateRef<unknown>>('simulated');
  /** The server's clock now, to the second, in milliseconds since 1970. */
  protected readonly serverNow = computed(() => this.now() - this.skewMs());

  protected readonly room = computed(() => this.detail()?.live.room);
  protected readonly about = computed(() => {
    const detail = this.detail();
    if (!detail) return null;
    const { about, phase, rehearsal } = this.words();
    return about(detail.className, detail.simulated ? rehearsal : phase[detail.live.room.phase]);
  });
  private readonly participants = computed(() => (this.detail()?.live.participants ?? []).filter(({ waits }) => !waits));
  protected readonly inRoom = computed(() => this.participants().length);
  /** Whose line is lost, by name. */
  protected readonly lost = computed(() =>
    this.participants()
      .filter(({ online }) => !online)
      .map(({ name }) => name),
  );
  protected readonly help = computed(() => {
    const { place, sentence, touch, audience } = this.words().help;
    return { place, sentence, shortcuts: this.shortcuts, keys: [touch, [audience, AUDIENCE_KEYS] as const] };
  });
  protected readonly doorWords = computed(() => {
    const room = this.room();
    return room ? doorWords(room.door, this.serverNow()) : '';
  });
  /** The keys of the console, each within either half of a keyboard. */
  protected readonly shortcuts: readonly Shortcut[] = [
    ...scriptShortcuts(this.steering, () => this.teaching()?.panel()),
    ...wallShortcuts(() => this.teaching()?.wall()),
    { left: ['Shift+D'], right: ['I'], text: CONSOLE_WORDS().keys.letIn, act: () => (this.lobby()?.door() ?? this.atDoor())?.letInAll() },
    { left: ['V'], right: ['O'], text: CONSOLE_WORDS().keys.audience, act: () => this.openAudience() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    // The first answer is seen as soon as it comes, also when the line is lost by then.
    const lesson = computed(() => this.detail()?.lesson);
    keepShapesReady(() => [...new Set(lesson()?.items.map((item) => kindOf(item).shape) ?? [])]);
    effect(() => this.store.dispatch(liveActions.open({ sessionId: this.id(), window: 'console' })));
    // What was a lesson is a review from then on.
    effect(() => {
      const room = this.room();
      if (room?.phase !== 'ended') return;
      untracked(() => {
        if (room.endedBy === 'silence') this.notice.say(this.words().endedBySilence);
        void this.router.navigate(['/review', this.id()], { replaceUrl: true });
      });
    });
    inject(DestroyRef).onDestroy(() => this.store.dispatch(liveActions.close()));
  }

  protected openAudience(): void {
    // Named, so that pressing again brings the same window to the front.
    window.open(`/audience/${this.id()}`, `audience-${this.id()}`, 'popup,width=1280,height=720');
  }

  protected act(act: RoomAct): void {
    this.store.dispatch(liveActions.act({ sessionId: this.id(), act }));
  }

  protected tell(command: RoomCommand): void {
    this.steering.tell(command);
  }

  protected reload(): void {
    location.reload();
  }

  protected showWho(): void {
    this.dialog.open(WhoIsHere, { width: '720px', maxWidth: '96vw', autoFocus: 'dialog' });
  }

  protected showDoor(): void {
    this.dialog.open(this.doorDialog(), { width: '520px', maxWidth: '96vw', autoFocus: 'dialog' });
  }

  protected showSimulated(): void {
    this.dialog.open(this.simulatedDialog(), { width: '640px', maxWidth: '96vw', autoFocus: 'dialog' });
  }

  protected async askEnd(): Promise<void> {
    if (await this.askFirst.ask(this.words().ending)) this.steering.tell({ type: 'end' });
  }

  /** While a lesson runs, leaving it asks first. */
  async mayLeave(): Promise<boolean> {
    return this.room()?.phase !== 'running' || this.askFirst.ask(this.words().leaving);
  }
}
