import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';
import { Icon } from '../../../ui/icons/icon';
import { isFromPreview, type Previewed } from '../../../shared/preview-messages';
import { COMPOSER_WORDS } from './words';

/** Screens that pupils have, in CSS pixels, and how small they are drawn here. */
const SCREENS = [
  { name: 'phone', icon: 'mobile', width: 360, height: 640, scale: 0.8 },
  { name: 'tablet', icon: 'tablet', width: 768, height: 1024, scale: 0.52 },
  { name: 'side', icon: 'computer', width: 1024, height: 768, scale: 0.5 },
] as const;

/** A question as it will be on a pupil's screen: the desk's own page at the size of that screen, drawn smaller. */
@Component({
  selector: 'zp-question-preview',
  imports: [Icon, MatButtonToggle, MatButtonToggleGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-button-toggle-group
      hideSingleSelectionIndicator
      [attr.aria-label]="words().preview.size"
      [value]="screen()"
      (change)="screen.set($event.value)"
    >
      @for (one of screens; track one.name) {
        <mat-button-toggle [value]="one"><mat-icon [svgIcon]="one.icon" />{{ words().screens[one.name] }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
    <div class="screen" [style.width.px]="screen().width * screen().scale" [style.height.px]="screen().height * screen().scale">
      <iframe
        #frame
        src="/desk/preview"
        [title]="words().preview.frame"
        [style.width.px]="screen().width"
        [style.height.px]="screen().height"
        [style.transform]="'scale(' + screen().scale + ')'"
      ></iframe>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      justify-items: center;
      align-content: start;
    }
    .screen {
      overflow: hidden;
      border: 3px solid var(--ink);
      border-radius: 10px;
    }
    iframe {
      border: 0;
      transform-origin: 0 0;
    }
  `,
})
export class QuestionPreview {
  readonly view = input.required<ItemView>();
  readonly language = input.required<string>();
  /** What stands in it already: an answer to look at, or nothing. */
  readonly given = input.required<Response | null>();
  readonly answered = output<Response>();
  protected readonly words = COMPOSER_WORDS;
  protected readonly screens = SCREENS;
  protected readonly screen = signal<(typeof SCREENS)[number]>(SCREENS[0]);
  private readonly frame = viewChild.required<ElementRef<HTMLIFrameElement>>('frame');
  private readonly ready = signal(false);
  private number = 0;

  constructor() {
    const heard = (event: MessageEvent<unknown>) => {
      if (event.origin !== location.origin || event.source !== this.frame().nativeElement.contentWindow || !isFromPreview(event.data))
        return;
      if (event.data.type === 'ready') this.ready.set(true);
      else this.answered.emit(event.data.response);
    };
    addEventListener('message', heard);
    inject(DestroyRef).onDestroy(() => removeEventListener('message', heard));
    effect(() => {
      const shown: Previewed = {
        type: 'preview',
        view: this.view(),
        language: this.language(),
        given: this.given(),
        number: ++this.number,
      };
      if (this.ready()) this.frame().nativeElement.contentWindow?.postMessage(shown, location.origin);
    });
  }
}
