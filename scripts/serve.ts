/** The built application behind a compressing server: what ./zanjador start runs. */
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';

type Handler = (request: IncomingMessage, response: ServerResponse, next: () => void) => void;

const SHUTDOWN_MS = 30_000;
// Large plans are made in threads of their own, which plain node runs from what the tools were compiled to.
process.env['ZANJADOR_TASKS'] ??= new URL('../src/lib/server/heavy/tasks.js', import.meta.url).href;

// Made by the build, so it has no types and is not there when this is compiled.
const built = pathToFileURL(resolve('build/handler.js')).href;
const { handler } = (await import(built)) as { handler: Handler };

const compress = compression({
  // Lines of a gauge are to arrive one by one, not when a block of them is full.
  filter: (request, response) =>
    response.getHeader('content-type') !== 'text/event-stream' &&
    compression.filter(request, response)
}) as unknown as Handler;

/** An answer that did not wait for the body: what is still coming is let go, so that the connection does not hang on it. */
const LET_GO_MS = 1000;
function letGo(request: IncomingMessage, response: ServerResponse): void {
  response.on('finish', () => {
    if (request.complete) return;
    // whoever was to read it stops it when nobody does
    request.removeAllListeners('data').resume();
    setTimeout(() => request.complete || request.destroy(), LET_GO_MS).unref();
  });
}

const server = createServer((request, response) => {
  letGo(request, response);
  compress(request, response, () =>
    handler(request, response, () => {
      response.statusCode = 404;
      response.end();
    })
  );
});

let closing = false;
function close(): void {
  if (closing) return;
  closing = true;
  server.closeIdleConnections();
  server.close(() => process.emit('sveltekit:shutdown' as 'exit', 0 as never));
  setTimeout(() => server.closeAllConnections(), SHUTDOWN_MS).unref();
}
// Connections that a browser keeps open are closed as soon as they are idle.
server.on('request', (_, response) =>
  response.on('close', () => closing && server.closeIdleConnections())
);
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, close);

server.listen(Number(process.env['PORT'] ?? 4280), process.env['HOST'] ?? '127.0.0.1');
