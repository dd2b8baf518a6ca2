import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import { loadShape } from '../../question-views/shape-views';
import { speakAs } from '../../shared/words/spoken';
import { DeskQuestion } from './desk-question';
import { DeskStore } from './desk-store';
import { isForPreview, type FromPreview, type Previewed } from '../../shared/preview-messages';

/** What the desk's question asks of the desk, where there is no room: the answer goes back to the page around. */
class PreviewStore {
  readonly view = signal<DeskView | null>(null);
  readonly viewAtMs = signal(0);
  readonly given = signal<Response | null>(null);
  readonly safety = computed(() => (this.given() ? 'kept' : 'none'));
  readonly deviceKeeps = signal(true);

  answer(response: Response): Promise<void> {
    this.given.set(response);
    tell({ type: 'answered', response });
    return Promise.resolve();
  }
}

const tell = (message: FromPreview) => parent.postMessage(message, location.origin);

/** A question as a pupil will see it, within a teacher's page: the same parts as on the desk, and no line to a server. */
@Component({
  selector: 'zp-desk-preview',
  imports: [DeskQuestion],
  providers: [{ provide: DeskStore, useClass: PreviewStore }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (question(); as question) {
      <main>
        <zp-desk-question [question]="question" />
      </main>
    }
  `,
  styles: `
    main {
      display: flex;
      flex-direction: column;
      height: 100vh;
      padding: 10px 16px 0;
      overflow-y: auto;
    }
  `,
})
export class DeskPreview {
  private readonly store = inject(DeskStore) as unknown as PreviewStore;
  protected readonly question = computed(() => this.store.view()?.question ?? null);

  constructor() {
    const heard = (event: MessageEvent<unknown>) => {
      if (event.origin === location.origin && event.source === parent && isForPreview(event.data)) void this.show(event.data);
    };
    addEventListener('message', heard);
    inject(DestroyRef).onDestroy(() => removeEventListener('message', heard));
    tell({ type: 'ready' });
  }

  private async show({ view, language, given, number }: Previewed): Promise<void> {
    const { isView } = await loadShape(view.shape);
    if (!isView(view)) return;
    speakAs(language);
    this.store.given.set(given);
    this.store.view.set({
      seq: 0,
      phase: 'running',
      participantId: 'preview',
      pupilName: '-',
      className: '-',
      lessonTitle: '-',
      language,
      shapes: [],
      stage: null,
      calls: { showMe: false, pulse: null },
      own: null,
      // A number of its own each time, so that a question that was changed starts anew.
      question: {
        askingId: `preview-${number}`,
        view,
        phase: 'open',
        nudged: false,
        takeId: null,
        countdown: null,
        given: null,
        reveal: null,
      },
    });
  }
}

/** The preview as an application of its own. */
@Component({ selector: 'app-root', imports: [DeskPreview], template: '<zp-desk-preview />' })
export class PreviewApp {}
