import { computed, linkedSignal, untracked, type WritableSignal } from '@angular/core';

/**
 * A value that begins anew whenever its key becomes another one, and otherwise is what it was set to: a new document of the
 * same lesson, or one more answer to the same question, leaves alone what somebody chose meanwhile. The source of a linked
 * signal alone does not do that: it begins anew with every change of what the key is read from.
 * @param key what the value belongs to, compared as signals are
 * @param start what it begins with; what that reads is not followed
 */
export function anewWith<Value>(key: () => unknown, start: () => Value): WritableSignal<Value> {
  return linkedSignal<unknown, Value>({ source: computed(key), computation: () => untracked(start) });
}
