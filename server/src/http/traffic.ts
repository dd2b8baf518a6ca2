import type { TSchema } from '@sinclair/typebox';
import type { FastifyInstance } from 'fastify';
import { fitsOf } from './fits.js';
import { whatIsWrong } from './what-is-wrong.js';

/**
 * Checks every request and every reply against the contract; a reply that does not fit is an error of ours and stays inside.
 * A server that listens makes its checks ready one after the other, so that the first pupil does not wait for them.
 */
export function checkTraffic(app: FastifyInstance): void {
  const schemas = new Set<TSchema>();
  app.setValidatorCompiler(({ schema }) => {
    schemas.add(schema as TSchema);
    const check = (data: unknown): boolean => {
      const fits = fitsOf(schema as TSchema);
      const isFitting = fits(data);
      check.errors = fits.errors;
      return isFitting;
    };
    check.errors = null as ReturnType<typeof fitsOf>['errors'];
    return check;
  });
  app.setSerializerCompiler(({ schema }) => {
    schemas.add(schema as TSchema);
    return (data) => {
      const fits = fitsOf(schema as TSchema);
      if (!fits(data)) throw new Error(whatIsWrong('The reply', fits.errors));
      return JSON.stringify(data);
    };
  });
  app.addHook('onListen', (done) => {
    const waiting = [...schemas];
    const makeNextReady = () => {
      const next = waiting.pop();
      if (!next) return;
      fitsOf(next);
      setImmediate(makeNextReady);
    };
    setImmediate(makeNextReady);
    done();
  });
}
