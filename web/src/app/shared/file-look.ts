import { signal } from '@angular/core';
import { sendFile, sentenceOf } from './api';
import { FILE_WORDS } from './file-words';

/**
 * A file that the server looks through before anything is taken from it. Whatever goes wrong stands in `problem`, and nothing was
 * changed; a file that is chosen while another is looked through takes its place.
 */
export class FileLook<Found> {
  readonly file = signal<File | null>(null);
  readonly found = signal<Found | null>(null);
  /** What is being done with the file, for the screen; null while nothing is. */
  readonly busy = signal<string | null>(null);
  readonly problem = signal<string | null>(null);
  private under = new AbortController();

  /** @param mostBytes as large as the server reads */
  constructor(private readonly mostBytes: number) {}

  /** Asks what a file would bring. @returns what stands in `found` then */
  async look(file: File, url: string): Promise<Found | null> {
    this.stop();
    this.found.set(null);
    this.file.set(file);
    if (file.size > this.mostBytes) {
      this.problem.set(FILE_WORDS().tooLarge(file.name, megabytes(file.size), megabytes(this.mostBytes)));
      return null;
    }
    const found = await this.send(url, FILE_WORDS().looking);
    if (found) this.found.set(found);
    return found;
  }

  /** Sends the same file again, to be taken. @returns what came of it; null where nothing did */
  take(url: string, words: string): Promise<Found | null> {
    return this.send(url, words);
  }

  /** Gives up what is under way. */
  stop(): void {
    this.under.abort();
  }

  private async send(url: string, words: string): Promise<Found | null> {
    this.under.abort();
    const { signal } = (this.under = new AbortController());
    this.problem.set(null);
    this.busy.set(words);
    try {
      return await sendFile<Found>(url, this.file()!, signal);
    } catch (error) {
      if (!signal.aborted) this.problem.set(sentenceOf(error));
      return null;
    } finally {
      if (this.under.signal === signal) this.busy.set(null);
    }
  }
}

const megabytes = (bytes: number) => Math.ceil(bytes / 2 ** 20);
