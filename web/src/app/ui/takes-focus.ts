import { Directive, effect, ElementRef, inject, input } from '@angular/core';

/** A heading that takes the focus when what stands under it changes: whoever opened it, by whatever means, is there. */
@Directive({ selector: '[zpTakesFocus]', host: { tabindex: '-1' } })
export class TakesFocus {
  /** Names what is shown; another name is another thing. */
  readonly zpTakesFocus = input.required<string>();

  constructor() {
    const { nativeElement } = inject<ElementRef<HTMLElement>>(ElementRef);
    effect(() => {
      this.zpTakesFocus();
      nativeElement.focus();
    });
  }
}
