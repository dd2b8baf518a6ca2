import { Addresses } from '@zeitpunkt/contract';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';

export interface AddressesOptions {
  readonly requireTeacher: RequireTeacher;
  /** As they are now: a machine may change its network. */
  readonly addresses: () => readonly string[];
}

/** Where pupils can reach the school from their own devices. */
export const addressesPlugin: Feature<AddressesOptions> = async (app, { requireTeacher, addresses }) => {
  app.get('/api/addresses', { schema: { response: { 200: Addresses } } }, (request) => {
    requireTeacher(request);
    return addresses();
  });
};
