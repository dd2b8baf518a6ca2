import { isStored, type Format, type Stored } from '../format.js';

/** Version 1 named three parts for every kind of question. */
function toVersion2(data: Stored): Stored {
  const { parts } = data;
  return { ...data, parts: isStored(parts) ? Object.entries(parts).map(([part, right]) => ({ part, right })) : parts };
}

/** What marking said of a response; see Mark. */
export const markFormat: Format = {
  name: 'mark of',
  migrations: [toVersion2],
  carriesVersion: false,
  unreadable: 'MARK_UNREADABLE',
};
