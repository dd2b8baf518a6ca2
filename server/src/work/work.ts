import type { HeavyTasks } from './tasks.js';

export type Piece = string | Uint8Array;
export type Asks = HeavyTasks['ask'];
export type Flows = HeavyTasks['flow'];

/** Something written out as JSON, in UTF-8. */
export interface Json<T> {
  readonly json: Uint8Array;
  /** What it is, for the compiler alone. */
  readonly of?: T;
}

/** Work that would hold up answers, done elsewhere: in a thread of its own, or in a test in place. */
export interface Work {
  /** @throws what the task throws; CoreError STORE_BUSY where the work was cut off */
  ask<Name extends keyof Asks>(name: Name, ...input: Parameters<Asks[Name]>): Promise<Awaited<ReturnType<Asks[Name]>>>;
  /** The same, written out as JSON where the work is done: what is large is neither copied nor written out in the server's loop. */
  json<Name extends keyof Asks>(name: Name, ...input: Parameters<Asks[Name]>): Promise<Json<Awaited<ReturnType<Asks[Name]>>>>;
  /** Pieces of something large; whoever stops taking them stops the work. */
  flow<Name extends keyof Flows>(name: Name, ...input: Parameters<Flows[Name]>): AsyncGenerator<Piece>;
  /** Tells something that only concerns what was kept of earlier work; where there was none, nothing happens. */
  tell<Name extends keyof Asks>(name: Name, ...input: Parameters<Asks[Name]>): void;
  close(): Promise<void>;
}

type AnyTask = (...input: readonly unknown[]) => unknown;
type AnyFlow = (...input: readonly unknown[]) => AsyncGenerator<Piece>;

/** A task by its name, whatever it takes: only what `Work` lets through comes here. */
export const taskOf = (tasks: HeavyTasks, name: string): AnyTask => tasks.ask[name as keyof Asks] as AnyTask;
export const flowOf = (tasks: HeavyTasks, name: string): AnyFlow => tasks.flow[name as keyof Flows] as AnyFlow;

/** Writes something out as JSON into memory of its own. */
export function jsonOf<T>(value: T): Json<T> {
  return { json: new TextEncoder().encode(JSON.stringify(value)) };
}

/** Does the work where it is asked for. */
export function workInPlace(tasks: HeavyTasks): Work {
  return {
    ask: async (name, ...input) => (await taskOf(tasks, name)(...input)) as never,
    json: async (name, ...input) => jsonOf((await taskOf(tasks, name)(...input)) as never),
    flow: (name, ...input) => flowOf(tasks, name)(...input),
    tell: (name, ...input) => void taskOf(tasks, name)(...input),
    close: async () => undefined,
  };
}
