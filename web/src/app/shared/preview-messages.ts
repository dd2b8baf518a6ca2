import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';

/** What a teacher's page tells the preview of a question: what to show, and what was given to it, if anything was. */
export interface Previewed {
  readonly type: 'preview';
  readonly view: ItemView;
  readonly language: string;
  readonly given: Response | null;
  /** Counts what is shown. */
  readonly number: number;
}

/** What the preview tells the page around it. */
export type FromPreview = { readonly type: 'ready' } | { readonly type: 'answered'; readonly response: Response };

const isTyped = (data: unknown): data is { readonly type: unknown } => typeof data === 'object' && data !== null && 'type' in data;

export function isForPreview(data: unknown): data is Previewed {
  return isTyped(data) && data.type === 'preview' && 'view' in data && isTagged(data.view) && 'number' in data;
}

export function isFromPreview(data: unknown): data is FromPreview {
  return isTyped(data) && (data.type === 'ready' || (data.type === 'answered' && 'response' in data));
}

const isTagged = (view: unknown): boolean => typeof view === 'object' && view !== null && 'shape' in view && typeof view.shape === 'string';
