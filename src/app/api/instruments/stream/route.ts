import { listen } from '@/server/reading-hub';

export const dynamic = 'force-dynamic';

/** Readings as they come in, as server-sent events, one JSON object each. */
export function GET(request: Request) {
  const encoder = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      controller.enqueue(encoder.encode(': listening\n\n'));
      stop = listen((heard) =>
        controller.enqueue(
          encoder.encode(
            heard.is === 'reading'
              ? `data: ${JSON.stringify(heard.reading)}\n\n`
              : `event: refused\ndata: ${JSON.stringify(heard)}\n\n`,
          ),
        ),
      );
      request.signal.addEventListener('abort', () => stop());
    },
    cancel: () => stop(),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
