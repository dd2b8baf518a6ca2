import type { MarkedResponse, OwnPlace } from '@zeitpunkt/contract';
import type { Line } from '../../sessions/line.js';

/** The windows of teachers who look on at a lesson at own pace. */
export class OwnWindows {
  private readonly lines = new Set<Line>();

  listen(line: Line): () => void {
    this.lines.add(line);
    return () => this.lines.delete(line);
  }

  tellPlace(place: OwnPlace): void {
    this.tell(JSON.stringify({ type: 'place', place }));
  }

  tellAnswer(response: MarkedResponse): void {
    this.tell(JSON.stringify({ type: 'answer', response }));
  }

  /** Everything is shown anew. */
  showAll(): void {
    for (const line of this.lines) line.show();
  }

  closeAll(): void {
    for (const line of [...this.lines]) line.close();
  }

  private tell(text: string): void {
    for (const line of this.lines) line.tell(text);
  }
}
