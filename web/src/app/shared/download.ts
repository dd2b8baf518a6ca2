import type { Lesson } from '@zeitpunkt/core/lesson/lesson';

/** A file name that every system takes. @param otherwise what it is called where nothing is left of its name */
export function fileName(name: string, otherwise: string, ending: string): string {
  const kept = name
    .trim()
    .replace(/[^\p{L}\p{N} _-]/gu, '')
    .replace(/\s+/g, '-')
    .slice(0, 60);
  return `${kept || otherwise}.${ending}`;
}

/** Gives something out as a file. */
export function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Gives out a lesson as a file that can be read in again. */
export function downloadLesson(lesson: Lesson): void {
  const text = JSON.stringify(lesson, null, 2);
  download(new Blob([`${text}\n`], { type: 'application/json' }), fileName(lesson.title, 'lesson', 'lesson.json'));
}
