import type { Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { fireEvent, screen, within } from '@testing-library/dom';

/** A component on a page of its own, used as a person uses it: by what is seen and heard. */
export async function render(component: Type<unknown>, inputs: Record<string, unknown> = {}, providers: unknown[] = []) {
  TestBed.configureTestingModule({ providers: providers as never[] });
  const fixture = TestBed.createComponent(component);
  const page = fixture.nativeElement as HTMLElement;
  document.body.append(page); // a label, a focus and a role count only within the document
  const setInputs = async (changed: Record<string, unknown>) => {
    for (const [name, value] of Object.entries(changed)) fixture.componentRef.setInput(name, value);
    await fixture.whenStable();
  };
  await setInputs(inputs);
  const find = within(page);
  const act = async (work: () => unknown) => {
    work();
    await fixture.whenStable();
  };
  return {
    find,
    page,
    component: fixture.componentInstance,
    setInputs,
    settled: () => fixture.whenStable(),
    press: (name: string | RegExp) => act(() => fireEvent.click(find.getByRole('button', { name }))),
    key: (element: HTMLElement, key: string, change: KeyboardEventInit = {}) => act(() => fireEvent.keyDown(element, { key, ...change })),
    /** Chooses from a list that opens at a press. */
    choose: async (label: string | RegExp, option: string | RegExp) => {
      await act(() => fireEvent.click(find.getByRole('combobox', { name: label })));
      await act(() => fireEvent.click(screen.getAllByRole('option', { name: option }).at(-1)!)); // lists that closed before may still fade
    },
    chooseFile: (label: string, file: File) =>
      act(() => {
        const field = find.getByLabelText<HTMLInputElement>(label);
        Object.defineProperty(field, 'files', { value: [file], configurable: true });
        fireEvent.change(field);
      }),
    type: (element: HTMLElement, value: string) => act(() => fireEvent.input(element, { target: { value } })),
  };
}

/** Waits for something that is loaded: a part of the page that comes when it is asked for. */
export async function until(holds: () => boolean): Promise<void> {
  for (let turn = 0; turn < 200 && !holds(); turn++) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(holds()).toBe(true);
}

/** What an output has said so far. */
export function heard<T>(output: { subscribe(hear: (value: T) => void): unknown }): T[] {
  const all: T[] = [];
  output.subscribe((value) => all.push(value));
  return all;
}

/** What can be read in an element, its pieces apart by one space. */
export function textOf(element: Element): string {
  const pieces = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  const read: string[] = [];
  while (pieces.nextNode()) read.push(pieces.currentNode.textContent!);
  return read.join(' ').replace(/\s+/g, ' ').trim();
}
