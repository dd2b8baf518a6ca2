import { CoreError } from '@zeitpunkt/core/errors';
import { isIsoDate } from '@zeitpunkt/core/series/school-days';

interface OwnDays {
  readonly firstDay: string;
  readonly lastDay: string;
}

/** Days on which a lesson can be given out. @throws CoreError OWN_PACE_DAYS */
export function mustBeDays({ firstDay, lastDay }: OwnDays, today: string): void {
  for (const day of [firstDay, lastDay]) {
    if (!isIsoDate(day)) throw new CoreError('OWN_PACE_DAYS', `There is no day ${day} in the calendar.`, { day });
  }
  if (lastDay < firstDay) throw new CoreError('OWN_PACE_DAYS', 'The last day lies before the first.');
  if (lastDay < today) throw new CoreError('OWN_PACE_DAYS', 'The last day is over already.');
}

/** A lesson is worked at on its days alone. @throws CoreError OWN_PACE_DAYS */
export function mustBeOpen({ firstDay, lastDay }: OwnDays, today: string): void {
  if (today < firstDay) throw new CoreError('OWN_PACE_DAYS', `This lesson opens on ${firstDay}.`, { firstDay });
  if (today > lastDay) throw new CoreError('OWN_PACE_DAYS', 'This lesson is over.');
}
