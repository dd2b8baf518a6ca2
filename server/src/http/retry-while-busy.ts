import type { FastifyInstance, RouteHandlerMethod } from 'fastify';
import { isBusy, whenFree } from '../db/when-free.js';

/**
 * Another program that holds the database for a while, a backup for one, is waited for without blocking: the request is
 * handled again. Handlers may be, since whatever they write they write at once or not at all, and ids make repeats harmless.
 */
export function retryWhileBusy(app: FastifyInstance): void {
  app.addHook('onRoute', (route) => {
    if (!route.url.startsWith('/api/')) return;
    const handle = route.handler;
    const again: RouteHandlerMethod = function (request, reply) {
      const work = () => handle.call(this, request, reply);
      const retry = (error: unknown) => {
        if (!isBusy(error)) throw error;
        return whenFree(work);
      };
      try {
        const result = work();
        return result instanceof Promise ? result.catch(retry) : result;
      } catch (error) {
        return retry(error);
      }
    };
    route.handler = again;
  });
}
