import type { Group } from '@zeitpunkt/core/insight/groups';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { ideaName, saidOfMany } from '@zeitpunkt/core/misconceptions/idea-words';

const OF_IDEA = 'idea:';

/** The idea that a group works on first; null where it practises a rung or goes on. */
export function ideaOfGroup({ key }: Pick<Group, 'key'>): MisconceptionId | null {
  return key.startsWith(OF_IDEA) ? (key.slice(OF_IDEA.length) as MisconceptionId) : null;
}

/** "They say the coming hour"; a group without an idea as it is called. */
export function groupTitle(group: Pick<Group, 'key' | 'name'>): string {
  const idea = ideaOfGroup(group);
  return idea ? saidOfMany(ideaName(idea)) : group.name;
}
