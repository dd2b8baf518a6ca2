import type { Shortcut } from '../../shared/shortcuts';
import { SCRIPT_WORDS } from './words';

/** What can be done from the keys while a lesson is built. */
interface ScriptActs {
  undo(): void;
  redo(): void;
  play(): void;
  /** To the beat before, or after. */
  stepBy(by: 1 | -1): void;
  /** Keeps what was put on the stage by hand, or puts it back. */
  keep(): void;
  putBack(): void;
}

/** The keys of the script place, for either hand. */
export function scriptKeys(acts: ScriptActs): readonly Shortcut[] {
  const { keys } = SCRIPT_WORDS();
  return [
    { left: ['Ctrl+Z'], right: ['U'], text: keys.undo, repeats: true, act: () => acts.undo() },
    { left: ['Ctrl+Shift+Z'], right: ['Shift+U', 'Ctrl+Y'], text: keys.redo, repeats: true, act: () => acts.redo() },
    { left: ['Space'], right: ['P'], text: keys.play, act: () => acts.play() },
    { left: ['Q', 'E'], right: ['K', 'J'], text: keys.beats, repeats: true, act: (place) => acts.stepBy(place === 0 ? -1 : 1) },
    { left: ['R'], right: ['Enter'], text: keys.keep, act: () => acts.keep() },
    { left: ['Escape'], right: ['.'], text: keys.putBack, act: () => acts.putBack() },
  ];
}
