import { isStored, type Format, type Stored } from '../format.js';

/** Version 1 named the item; the script's asking of it carries the same id. */
function toVersion2(data: Stored): Stored {
  const { post } = data;
  if (!isStored(post)) return data;
  const { itemId, ...rest } = post;
  return { ...data, post: { askingId: itemId, ...rest } };
}

/** A response that a pupil's device keeps until the server has it. */
export const waitingFormat: Format = {
  name: 'answer on this device',
  migrations: [toVersion2],
  carriesVersion: false,
  unreadable: 'RESPONSE_UNREADABLE',
};
