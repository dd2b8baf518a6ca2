import type { Data } from '@zeitpunkt/contract';
import type { TSchema } from '@sinclair/typebox';
import type { FastifyPluginAsync, FastifyPluginOptions, FastifyTypeProvider, RawServerDefault } from 'fastify';
import type { Json } from '../work/work.js';

/** Bodies and replies of a route have the deeply read-only types of their schemas; a reply may be written out already. */
export interface DataTypeProvider extends FastifyTypeProvider {
  readonly validator: this['schema'] extends TSchema ? Data<this['schema']> : unknown;
  readonly serializer: this['schema'] extends TSchema ? Data<this['schema']> | Json<Data<this['schema']>> : unknown;
}

/** A feature of the server: a plugin whose routes are typed by their schemas. */
export type Feature<Options extends FastifyPluginOptions> = FastifyPluginAsync<Options, RawServerDefault, DataTypeProvider>;
