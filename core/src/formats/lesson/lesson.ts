import { dialBuildFormat } from '../dial-build/dial-build.js';
import { upToDate } from '../door.js';
import { isStored, versionNow, type Format, type Stored } from '../format.js';

/** Beats of version 1 had no ids: each gets one by its place, always the same for the same file. */
function toVersion2(data: Stored): Stored {
  const beats = Array.isArray(data['beats'])
    ? data['beats'].map((beat: unknown, index) => (isStored(beat) ? { id: `b${index + 1}`, ...beat } : beat))
    : data['beats'];
  return { ...data, beats };
}

const TIMES = ['timeSec', 'fromSec', 'toSec', 'atSec'];

/** Something with the times it carries itself brought down to whole minutes. */
function onWholeMinutes(data: Stored): Stored {
  const times = TIMES.flatMap((name) => {
    const sec = data[name];
    return typeof sec === 'number' ? [[name, Math.floor(sec / 60) * 60] as const] : [];
  });
  return { ...data, ...Object.fromEntries(times) };
}

const listOnWholeMinutes = (list: unknown) =>
  Array.isArray(list) ? list.map((one: unknown) => (isStored(one) ? onWholeMinutes(one) : one)) : list;

/** Version 2 could hold seconds, which were read and said nowhere. */
function toVersion3(data: Stored): Stored {
  const beats = listOnWholeMinutes(data['beats']);
  return {
    ...data,
    items: listOnWholeMinutes(data['items']),
    beats: Array.isArray(beats)
      ? beats.map((beat: unknown) => (isStored(beat) && 'stops' in beat ? { ...beat, stops: listOnWholeMinutes(beat['stops']) } : beat))
      : beats,
  };
}

/** Demonstrations within a lesson are of their own format and version. */
function withBuilds(data: Stored): Stored {
  if (!Array.isArray(data['beats'])) return data;
  return {
    ...data,
    beats: data['beats'].map((beat: unknown) => (isStored(beat) && isStored(beat['build']) ? withBuild(beat, beat['build']) : beat)),
  };
}

function withBuild(beat: Stored, build: Stored): Stored {
  const { formatVersion } = build;
  const isOlder = typeof formatVersion === 'number' && formatVersion >= 1 && formatVersion <= versionNow(dialBuildFormat as Format<never>);
  return isOlder ? { ...beat, build: upToDate(dialBuildFormat, build, formatVersion, undefined) } : beat;
}

/** A lesson file; see Lesson. */
export const lessonFormat: Format = {
  name: 'lesson',
  migrations: [toVersion2, toVersion3],
  complete: withBuilds,
  carriesVersion: true,
  unreadable: 'LESSON_UNREADABLE',
};
