import type { OpenRoom } from './open-room.js';

/** A device's place in an open room. */
export interface OpenPlace {
  readonly room: OpenRoom;
  readonly participantId: string;
}

/** Which device belongs to which place of an open room. Tokens that were replaced, and rooms that are gone, are forgotten. */
export class DeskTokens {
  private readonly places = new Map<string, OpenPlace>();

  find(token: string): OpenPlace | undefined {
    return this.places.get(token);
  }

  remember(token: string, place: OpenPlace): OpenPlace {
    this.places.set(token, place);
    return place;
  }

  forget(isGone: (place: OpenPlace) => boolean): void {
    for (const [token, place] of this.places) if (isGone(place)) this.places.delete(token);
  }
}
