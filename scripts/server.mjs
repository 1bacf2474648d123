// The built program behind its door: `node scripts/server.mjs`, on PORT and SPANNER_HOST.
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import next from 'next';
import { doorOf, headersOf, newNonce } from './door.mjs';
import { inTurn } from './in-turn.cjs';
import { pageFiles } from './page-files.cjs';
import { goesShort } from './short-way.mjs';

const BUILT = join(process.cwd(), '.next');
const port = Number(process.env.PORT ?? 4620);
const hostname = process.env.SPANNER_HOST ?? '127.0.0.1';
const refused = doorOf({ host: hostname, names: process.env.SPANNER_NAMES });

// The settings as they were built: read from their source they would be compiled anew at each start, and might be others.
process.env.__NEXT_PRIVATE_STANDALONE_CONFIG ??= JSON.stringify(
  JSON.parse(readFileSync(join(BUILT, 'required-server-files.json'), 'utf8')).config,
);
const app = next({ dev: false, hostname, port, dir: process.cwd() });
const handle = app.getRequestHandler();

const takeTurn = inTurn();
const sendFile = pageFiles(BUILT);
const server = createServer((request, response) => {
  const nonce = newNonce();
  for (const [name, value] of Object.entries(headersOf(nonce, request.url ?? '/'))) response.setHeader(name, value);
  const refusal = refused(request);
  if (refusal) {
    response.writeHead(refusal.status, { 'content-type': 'application/json; charset=utf-8', connection: 'close' });
    response.end(JSON.stringify(refusal.body));
    return;
  }
  // The pages' own scripts carry this request's nonce: they are told of it by the request.
  request.headers['x-nonce'] = nonce;
  request.headers['content-security-policy'] = `script-src 'nonce-${nonce}'`;
  sendFile(request, response, () =>
    takeTurn(request.url ?? '/', response, () => {
      if (!goesShort(request, response)) void handle(request, response);
    }),
  );
});

// By default a connection is shut after five seconds: over a workshop's network the next pull would have to open another.
server.keepAliveTimeout = 120_000;

// Whatever is under way is synchronous and whole; the shop's files are closed as the process ends.
let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (stopping) process.exit(0);
    stopping = true;
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });

await app.prepare();
server.listen(port, hostname);
