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

const NAME = Symbol.for('fastify.display-name');

/**
 * Gives plugins their names, by which Fastify tells of them. One that has none is looked for among all files that are loaded, each
 * time that it is registered.
 */
export function nameFeatures(plugins: Readonly<Record<string, object>>): void {
  for (const [name, plugin] of Object.entries(plugins)) Object.assign(plugin, { [NAME]: name });
}
