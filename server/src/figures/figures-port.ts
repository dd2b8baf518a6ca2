import { CoreError } from '@zeitpunkt/core/errors';
import { createServer, type Server } from 'node:http';
import type { Figures } from './figures.js';

/** Only the machine itself reads them, where nothing else is said. */
const HOST = '127.0.0.1';

/** Serves figures on a port of their own, which no proxy shows to the outside. @throws CoreError START_PORT_IN_USE */
export function figuresPort(figures: Figures, port: number): Promise<Server> {
  const server = createServer((request, response) => {
    if (request.url !== '/metrics') return void response.writeHead(404).end();
    figures.text().then(
      (text) => void response.writeHead(200, { 'content-type': figures.contentType }).end(text),
      () => void response.writeHead(500).end(),
    );
  });
  return new Promise((resolve, reject) => {
    server.once('error', ({ message }) =>
      reject(
        new CoreError('START_PORT_IN_USE', `Figures cannot be served on port ${port} (${message}). Choose another port with --metrics.`, {
          port,
          why: message,
        }),
      ),
    );
    server.listen(port, HOST, () => resolve(server.unref()));
  });
}
