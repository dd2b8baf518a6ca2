import type { Lesson } from '../../lesson/lesson.js';
import { isStored, storedList, type Format, type Stored } from '../format.js';
import { stepsOfVersion1 } from './steps-of-version-1.js';

/**
 * Version 1 stood at the number of a step and knew one phase for each item. The first versions of it had nothing beside
 * the script.
 */
function toVersion2(data: Stored, lesson: Lesson): Stored {
  const { step, stepStartedAtMs, questions, ...room } = data;
  const steps = stepsOfVersion1(lesson);
  const asked = isStored(questions) ? Object.entries(questions) : [];
  const askings = asked.flatMap(([itemId, phase]) => {
    const item = lesson.items.find(({ id }) => id === itemId);
    return item ? [{ id: itemId, item, phase }] : [];
  });
  const at = typeof step === 'number' ? steps[Math.min(Math.max(0, step), steps.length - 1)] : undefined;
  return { aside: null, ...room, run: { at, enteredAtMs: stepStartedAtMs, askings, besideId: null } };
}

/** The asking with its item on a whole minute, as lessons of version 3 are. */
function onWholeMinute(asking: Stored): Stored {
  const { item } = asking;
  const timeSec = isStored(item) ? item['timeSec'] : undefined;
  return typeof timeSec === 'number' ? { ...asking, item: { ...(item as Stored), timeSec: Math.floor(timeSec / 60) * 60 } } : asking;
}

/** Version 2 did not know when a question closed, and whoever had the key was in at once. */
function toVersion3(data: Stored): Stored {
  const { run } = data;
  const askings = isStored(run) ? storedList(run['askings']).map((asking) => ({ ...onWholeMinute(asking), closedAtMs: null })) : [];
  return { ...data, run: isStored(run) ? { ...run, askings } : run, door: { open: true, closesAtMs: null, asks: false } };
}

/** Version 3 had no examples or chart beside the script, and did not keep when each beat was reached. */
function toVersion4(data: Stored): Stored {
  const { run, aside } = data;
  return {
    ...data,
    run: isStored(run) ? { ...run, trail: [] } : run,
    aside: isStored(aside) ? { ...aside, shows: null } : aside,
  };
}

/** Version 4 knew only whether pupils wait, called nobody in passing, and was ended by the teacher alone. */
function toVersion5(data: Stored): Stored {
  const { door } = data;
  const { asks = true, ...rest } = isStored(door) ? door : {};
  const calls = { nudged: null, more: null, showMe: false, pulse: null };
  const endedBy = data['phase'] === 'ended' ? 'teacher' : null;
  return { ...data, door: { ...rest, admits: asks ? 'one-by-one' : 'class-list' }, calls, endedBy };
}

/** A live room as it goes on after a restart; see RoomState. It is read with the lesson it was taught from. */
export const roomStateFormat: Format<Lesson> = {
  name: 'room of',
  migrations: [toVersion2, toVersion3, toVersion4, toVersion5],
  carriesVersion: false,
  unreadable: 'ROOM_UNREADABLE',
};
