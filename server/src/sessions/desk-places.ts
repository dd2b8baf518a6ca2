import { CoreError } from '@zeitpunkt/core/errors';
import type { DeskView } from '@zeitpunkt/contract';
import { tokenHash } from '../http/tokens.js';
import type { OpenPlace } from './desk-tokens.js';
import type { OpenRoom } from './open-room.js';
import type { SessionQueries } from './queries.js';
import type { RoomDirectory } from './room-directory.js';

export const DESK_COOKIE = 'zp_desk';
/** Of the other pupil, where two share a device. */
export const BESIDE_COOKIE = 'zp_desk_2';

type EndedPlace = NonNullable<ReturnType<SessionQueries['placeByToken']>>;

/** A pupil's device in an open room, or what is left of its place in one that has ended. */
export type DeskPlace = OpenPlace | { readonly room: null; readonly ended: EndedPlace };

/** Finds the place that the token in a device's cookie belongs to. @throws CoreError DESK_NOT_JOINED */
export type FindDesk = (token: string | undefined) => DeskPlace;

/** An open room of either pace, by its id. */
export type FindRoom = (sessionId: string) => OpenRoom | undefined;

export function deskFinder(rooms: RoomDirectory, find: FindRoom): FindDesk {
  return (token) => {
    // Every response needs this: tokens of open rooms are remembered, with neither hash nor query.
    const known = token ? rooms.tokens.find(token) : undefined;
    if (known) return known;
    const place = token ? rooms.queries.placeByToken(tokenHash(token)) : undefined;
    if (place?.phase === 'ended') return { room: null, ended: place };
    const room = place && find(place.sessionId);
    if (!room?.hasParticipant(place!.id)) {
      throw new CoreError('DESK_NOT_JOINED', 'This device is not in a room. Please enter the four pictures again.');
    }
    return rooms.tokens.remember(token!, { room, participantId: place!.id });
  };
}

/** Whether a token is that of a place, in an open room or one that has ended. */
export function isPlace(find: FindDesk, token: string): boolean {
  try {
    find(token);
    return true;
  } catch (error) {
    if (error instanceof CoreError) return false;
    throw error;
  }
}

/**
 * The place on a device that an answer belongs to: that of the pupil whose turn it is, or of the other one.
 * @param cookieOf reads a cookie of the request
 * @param of the place that is meant, where two share the device
 */
export function placeMeant(find: FindDesk, cookieOf: (name: string) => string | undefined, of: string | undefined): DeskPlace {
  const beside = of === undefined ? undefined : cookieOf(BESIDE_COOKIE);
  if (beside === undefined) return find(cookieOf(DESK_COOKIE));
  const place = find(beside);
  return (place.room ? place.participantId : place.ended.id) === of ? place : find(cookieOf(DESK_COOKIE));
}

/** What a desk shows whose room has ended. */
export function endedView({ id, pupilName, className, lessonTitle }: EndedPlace): DeskView {
  const calls = { showMe: false, pulse: null };
  const nothing = { language: 'en-GB', shapes: [], stage: null, calls, own: null, question: null };
  return { seq: 0, phase: 'ended', participantId: id, pupilName, className, lessonTitle, ...nothing };
}
