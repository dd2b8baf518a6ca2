import fastifyHelmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Paths that the web application routes by itself; each gets the same page. */
const PAGES = ['/', '/sign-in', '/set-up', '/lessons', '/dials', '/show', '/desk', '/console/:id', '/audience/:id', '/review/:id'];

/** Serves the built web application under a strict content security policy: nothing inline, nothing from outside. */
export async function webPages(app: FastifyInstance, webDir: string): Promise<void> {
  const page = readFileSync(join(webDir, 'index.html'), 'utf8');
  await app.register(fastifyStatic, {
    root: webDir,
    index: false,
    wildcard: false,
    // Built files carry a hash of their content in their name, so a browser may keep them for good.
    setHeaders: (reply) => void reply.header('cache-control', 'public, max-age=31536000, immutable'),
  });
  for (const url of PAGES) {
    app.get(url, (_request, reply) => {
      // Angular puts component styles into <style> elements; the nonce of this reply allows just those.
      const nonce = reply.cspNonce.style;
      return reply.type('text/html').header('cache-control', 'no-store').send(page.replaceAll('CSP_NONCE', nonce));
    });
  }
}

/** What a reply of data needs: it is no page, nothing may run in it, and no other site may use it. */
const DATA_HEADERS = {
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
  'x-content-type-options': 'nosniff',
};
const isData = (url: string) => url.startsWith('/api/');

/**
 * Security headers of every reply. Those of data are always the same; a policy with a nonce of its own for each answer of
 * each pupil took a twelfth of the server's time.
 */
export async function securityHeaders(app: FastifyInstance): Promise<void> {
  app.addHook('onRoute', (route) => {
    if (isData(route.url)) route.helmet = false;
  });
  app.addHook('onRequest', async (request, reply) => {
    if (isData(request.url)) reply.headers(DATA_HEADERS);
  });
  await app.register(fastifyHelmet, {
    enableCSPNonces: true,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'none'"],
        'script-src': ["'self'"],
        'style-src': ["'self'"],
        'img-src': ["'self'", 'data:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'manifest-src': ["'self'"],
        'base-uri': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    // The school's machine may serve plain HTTP in its own network; forcing HTTPS there would lock it out.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
}
