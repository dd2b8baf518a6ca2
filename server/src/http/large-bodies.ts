import type { FastifyRequest, RouteOptions } from 'fastify';

/**
 * Whoever is not signed in is sent away before a large body is read, of whatever route: larger than what devices of pupils send.
 * @param usualBytes what every route takes where nothing else is said
 */
export function guardLargeBodies(
  app: { addHook(name: 'onRoute', hook: (route: RouteOptions) => void): unknown },
  usualBytes: number,
  requireTeacher: (request: FastifyRequest) => unknown,
): void {
  app.addHook('onRoute', (route) => {
    if ((route.bodyLimit ?? 0) <= usualBytes) return;
    route.onRequest = [route.onRequest ?? [], async (request: FastifyRequest) => void requireTeacher(request)].flat();
  });
}
