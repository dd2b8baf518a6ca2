import { CoreError } from '@zeitpunkt/core/errors';
import type { FastifyBaseLogger, FastifyInstance, FastifyRequest, FastifyTypeProvider, RawServerDefault } from 'fastify';
import type { IncomingMessage, ServerResponse } from 'node:http';

type App = FastifyInstance<RawServerDefault, IncomingMessage, ServerResponse, FastifyBaseLogger, FastifyTypeProvider>;

/**
 * Routes of a plugin take files, piece by piece as they come and each piece in memory of its own: so it can be given over to
 * another thread, and however large a file is, nothing of it is copied at once.
 */
export function takesFiles(app: Pick<App, 'addContentTypeParser'>): void {
  app.addContentTypeParser('application/octet-stream', (request: FastifyRequest, body: AsyncIterable<Buffer>) =>
    piecesOf(body, Number(request.headers['content-length'] ?? 0), request.routeOptions.bodyLimit),
  );
}

/** The file that a request brought. */
export const fileOf = (request: { readonly body: unknown }): readonly Uint8Array[] => request.body as readonly Uint8Array[];

/** @param said how many bytes the request says that it brings */
async function piecesOf(body: AsyncIterable<Buffer>, said: number, most: number): Promise<Uint8Array[]> {
  const pieces: Uint8Array[] = [];
  const mustFit = (bytes: number) => {
    if (bytes > most)
      throw new CoreError('REQUEST_TOO_LARGE', `The file is too large: at most ${sizeOf(most)} are taken here.`, { most: sizeOf(most) });
  };
  mustFit(said);
  let bytes = 0;
  for await (const piece of body) {
    mustFit((bytes += piece.length));
    pieces.push(Uint8Array.from(piece));
  }
  return pieces;
}

const sizeOf = (bytes: number) => (bytes < 2 ** 20 ? `${Math.floor(bytes / 1024)} kB` : `${Math.floor(bytes / 2 ** 20)} MB`);
