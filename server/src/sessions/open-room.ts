import type { DeskView, Participant, Pupil, ResponseKept, ResponsePost } from '@zeitpunkt/contract';
import type { Line } from './line.js';
import type { Coming } from './roster.js';

/** What a pupil's device needs of a lesson that is open, whether a teacher leads it or it is done at one's own pace. */
export interface OpenRoom {
  readonly id: string;
  readonly classId: string;
  readonly className: string;
  /** Who can come in by key, and who is in on another device. */
  readonly names: { readonly pupils: readonly Pupil[]; readonly inAlready: readonly Pupil[] };
  readonly admitsNewcomers: boolean;
  /** So long a device that came in stays in, in seconds. */
  readonly deskSeconds: number;
  /** @returns the place in the room @throws CoreError NAME_TAKEN, PUPIL_UNKNOWN, JOIN_ID_TAKEN */
  join(coming: Coming): string;
  /** @returns the place in the room @throws CoreError PUPIL_UNKNOWN, JOIN_ID_TAKEN */
  joinByCard(joinId: string, pupilId: string, hashOfToken: string): string;
  hasParticipant(participantId: string): boolean;
  respond(participantId: string, post: ResponsePost): Promise<ResponseKept>;
  release(participantId: string): Participant;
  deskView(participantId: string): DeskView;
  /** Whether a take is one that this pupil may hear now: of a step that was reached, and of nothing that comes after. */
  mayHear(participantId: string, takeId: string): boolean;
  /** The view as a message to its desks. */
  deskMessage(participantId: string): string;
  listenDesk(participantId: string, line: Line): () => void;
}
