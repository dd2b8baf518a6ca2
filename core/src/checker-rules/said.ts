import type { Beat } from '../beats/registry.js';
import type { Lesson } from '../lesson/lesson.js';

/** Words of a beat that somebody wrote. */
export interface Said {
  readonly beat: Beat;
  readonly beatIndex: number;
  readonly text: string;
}

/** What a lesson says in the words of whoever wrote it, in order. */
export function saidIn({ beats }: Lesson): Said[] {
  return beats.flatMap((beat, beatIndex) => textsOf(beat).map((text) => ({ beat, beatIndex, text })));
}

function textsOf(beat: Beat): readonly string[] {
  if (beat.kind === 'verse') return beat.lines.map(({ text }) => text);
  if (beat.kind === 'worked-example') return (beat.edits ?? []).map(({ text }) => text);
  if (!('text' in beat)) return [];
  return beat.kind === 'sweep' ? [beat.text, ...beat.stops.map(({ prompt }) => prompt)] : [beat.text];
}

/** The lesson with the words of one beat changed, wherever it says them. */
export function withSaid(lesson: Lesson, beatId: string, change: (text: string) => string): Lesson {
  return { ...lesson, beats: lesson.beats.map((beat) => (beat.id === beatId ? changed(beat, change) : beat)) };
}

function changed(beat: Beat, change: (text: string) => string): Beat {
  if (beat.kind === 'verse') return { ...beat, lines: beat.lines.map((line) => ({ ...line, text: change(line.text) })) };
  if (beat.kind === 'worked-example')
    return beat.edits ? { ...beat, edits: beat.edits.map((edit) => ({ ...edit, text: change(edit.text) })) } : beat;
  if (!('text' in beat)) return beat;
  if (beat.kind === 'sweep') {
    return { ...beat, text: change(beat.text), stops: beat.stops.map((stop) => ({ ...stop, prompt: change(stop.prompt) })) };
  }
  return { ...beat, text: change(beat.text) };
}
