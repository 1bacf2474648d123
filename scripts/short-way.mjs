// What is sent from the bench, straight to the route that takes it.

const ROUND = /^\/api\/tightenings\/([^/?]+)\/events$/;

/** All that a request brings, as text; the door has seen how long it says it is. */
async function textOf(request) {
  const parts = [];
  for await (const part of request) parts.push(part);
  return new TextDecoder().decode(parts.length === 1 ? parts[0] : Buffer.concat(parts));
}

async function answerBy(way, round, request, response) {
  try {
    const { status, body } = await way(round, request.headers, await textOf(request));
    response.writeHead(status, { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) });
    response.end(body);
  } catch {
    // Whoever went away in the middle of it is not answered.
    if (!response.headersSent) response.writeHead(500);
    response.end();
  }
}

/**
 * Answers a request for which a route has left its short way, and says whether it did. Whatever else comes, or comes
 * before that route was read in, goes through the framework.
 */
export function goesShort(request, response) {
  const way = globalThis.spannerShortWay;
  const round = ROUND.exec(request.url ?? '')?.[1];
  if (!way || round === undefined || request.method !== 'POST') return false;
  void answerBy(way, decodeURIComponent(round), request, response);
  return true;
}
