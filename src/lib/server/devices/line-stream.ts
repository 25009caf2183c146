/** Lines as server-sent events, one event a line. */
export function lineStream(
  begin: (send: (line: string) => void, close: () => void) => () => void
): Response {
  const encoder = new TextEncoder();
  let end: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      // Said at once: the browser takes the stream as open only when something has come.
      send(': open\n\n');
      end = begin(
        (line) => send(`data: ${line}\n\n`),
        () => {
          end();
          controller.close();
        }
      );
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
