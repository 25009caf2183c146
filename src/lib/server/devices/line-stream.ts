import type { OpenStreams } from '../open-streams.ts';

/** Whose stream it is: it ends with their session. */
export interface StreamOf {
  session: string | undefined;
  open: OpenStreams;
}

/** Lines as server-sent events, one event a line. */
export function lineStream(
  { session = '', open }: StreamOf,
  begin: (send: (line: string) => void, close: () => void) => () => void
): Response {
  const encoder = new TextEncoder();
  let end: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      // Said at once: the browser takes the stream as open only when something has come.
      send(': open\n\n');
      const close = () => {
        end();
        controller.close();
      };
      const leave = begin((line) => send(`data: ${line}\n\n`), close);
      const out = open.add(session, close);
      end = () => {
        out();
        leave();
      };
    },
    cancel() {
      end();
    }
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      // nothing else is to follow on it: a server that stops would wait for it
      connection: 'close'
    }
  });
}
