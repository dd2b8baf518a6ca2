import fastifyHelmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance, FastifyReply } from 'fastify';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The built web application. */
export interface WebPages {
  readonly dir: string;
  /** The one page; which place it shows is read from the address by the application itself. */
  readonly page: string;
  /** The same for the pupil's desk: it asks for all scripts that the desk begins with at once, and for its letters after them. */
  readonly deskPage: string;
  /** Names this build: another one has other files. */
  readonly buildId: string;
}

/** Reads the built web application from its folder. */
export function readPages(dir: string): WebPages {
  const page = readFileSync(join(dir, 'index.html'), 'utf8');
  // The page names its files by a hash of their content, so its own hash changes with any of them.
  const buildId = createHash('sha256').update(page).digest('hex').slice(0, 16);
  const whole = page.replace('BUILD_ID', buildId);
  return { dir, page: whole, deskPage: forDesk(whole, dir), buildId };
}

const forDesk = (page: string, dir: string) =>
  page.replace('</head>', `${preloads(dir)}</head>`).replace('<body>', '<body class="letters-later">');

/** Written by the build beside its files; a line with many milliseconds has the desk some seconds sooner. */
function preloads(dir: string): string {
  const list = join(dir, '../desk-beginning.json');
  if (!existsSync(list)) return '';
  const files = JSON.parse(readFileSync(list, 'utf8')) as string[];
  return files.map((file) => `<link rel="modulepreload" href="${file}">`).join('');
}

/** A path that is neither data nor a file is a place of the application; which places there are is known there alone. */
const isPlace = (path: string) => !/^\/(api|ws)(\/|$)/.test(path) && !path.includes('.');

/** Built files carry a hash of their content in their name, so that a browser may keep them for good; the others it asks about. */
const HASHED = /-[0-9A-Z]{8}\.\w+(\.br|\.gz)?$/;
const FOR_GOOD = 'public, max-age=31536000, immutable';

/** Serves the built web application under a strict content security policy: nothing inline, nothing from outside. */
export async function webPages(app: FastifyInstance, { dir, page, deskPage }: WebPages): Promise<void> {
  await app.register(fastifyStatic, {
    root: dir,
    index: false,
    wildcard: false,
    globIgnore: ['index.html', '**/*.br', '**/*.gz'], // the page is made ready below; as it lies on the disk it is of no use
    preCompressed: true, // by the build, once for all: a class that comes in at the same moment costs no compressing
    setHeaders: (reply, path) => void reply.header('cache-control', HASHED.test(path) ? FOR_GOOD : 'no-cache'),
  });
  app.get('/*', (request, reply) => {
    const [path = ''] = request.url.split('?');
    if (!isPlace(path)) return reply.callNotFound();
    // Angular puts component styles into <style> elements; the nonce of this reply allows just those.
    const nonce = reply.cspNonce.style;
    if (path === PREVIEW) mayBeFramed(reply);
    return reply
      .type('text/html')
      .header('cache-control', 'no-store')
      .send((DESK.test(path) ? deskPage : page).replaceAll('CSP_NONCE', nonce));
  });
}

const DESK = /^\/desk(\/|$)/;

/** The desk as a preview of a question: it asks the server for nothing, and only our own pages may show it. */
const PREVIEW = '/desk/preview';

function mayBeFramed(reply: FastifyReply): void {
  const policy = String(reply.getHeader('content-security-policy'));
  reply.header('content-security-policy', policy.replace("frame-ancestors 'none'", "frame-ancestors 'self'"));
}

/** What a reply of data needs: it is no page, nothing may run in it, and no other site may use it. */
const DATA_HEADERS = {
  'cache-control': 'no-store',
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
  'x-content-type-options': 'nosniff',
};
const isData = (url: string) => url.startsWith('/api/');

/**
 * What a file of the application needs: what it may do is said by the page that asks for it, and by itself only where it is a
 * worker. The headers of a page, on every one of thirty scripts, took a slow line half a second.
 */
const FILE_HEADERS = {
  'content-security-policy': "default-src 'self'; frame-ancestors 'none'",
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
  'x-content-type-options': 'nosniff',
};
const isFile = (url: string) => /^\/(?!api\/|ws\/)[^?]*\./.test(url);

/** Puts the headers of data on a reply. */
export const dataHeaders = (_request: unknown, reply: FastifyReply, done: () => void): void => {
  reply.headers(DATA_HEADERS);
  done();
};

/**
 * Security headers of every reply. Those of data and of files are always the same; a policy with a nonce of its own for each answer of
 * each pupil took a twelfth of the server's time.
 */
export async function securityHeaders(app: FastifyInstance): Promise<void> {
  app.addHook('onRoute', (route) => {
    if (isData(route.url) || isFile(route.url)) route.helmet = false;
  });
  app.addHook('onRequest', (request, reply, done) => {
    if (isData(request.url)) return dataHeaders(request, reply, done);
    if (isFile(request.url)) reply.headers(FILE_HEADERS);
    done();
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
        // A take is played from the memory of the page.
        'media-src': ["'self'", 'blob:'],
        'connect-src': ["'self'"],
        'manifest-src': ["'self'"],
        'base-uri': ["'self'"],
        'form-action': ["'self'"],
        // A question as it will be on a pupil’s screen is a page of ours in a page of ours.
        'frame-src': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    // The school's machine may serve plain HTTP in its own network; forcing HTTPS there would lock it out.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
}
