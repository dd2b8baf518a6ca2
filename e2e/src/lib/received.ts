import type { Page } from '@playwright/test';

/** Everything that a browser page receives from now on: bodies of replies and frames of sockets, as one list of texts. */
export class Received {
  private readonly bodies: Promise<{ url: string; text: string }>[] = [];
  private readonly frames: string[] = [];

  constructor(page: Page) {
    page.on('response', (reply) => {
      this.bodies.push(
        reply.text().then(
          (text) => ({ url: reply.url(), text }),
          () => ({ url: reply.url(), text: '' }), // a reply without a body, or one that a reload cut off
        ),
      );
    });
    page.on('websocket', (socket) => socket.on('framereceived', ({ payload }) => this.frames.push(String(payload))));
  }

  /** What the server said of this room: API replies and socket frames. */
  async said(): Promise<string[]> {
    const bodies = await Promise.all(this.bodies);
    return [...bodies.filter(({ url }) => url.includes('/api/')).map(({ text }) => text), ...this.frames];
  }

  /** The page, its scripts and styles. */
  async files(): Promise<string[]> {
    return (await Promise.all(this.bodies)).filter(({ url }) => !url.includes('/api/')).map(({ text }) => text);
  }

  get frameCount(): number {
    return this.frames.length;
  }
}
