import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request as httpRequest, type IncomingHttpHeaders, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { pageFiles, readyFiles } from '../../scripts/page-files.cjs';

const built = mkdtempSync(join(tmpdir(), 'spanner-built-'));
const CHUNKS = join(built, 'static', 'chunks');
const MEDIA = join(built, 'static', 'media');
const SCRIPT = 'globalThis.seen = (() => 41 + 1)();\n'.repeat(50);
const STYLE = '.sheet { color: teal }\n'.repeat(50);
const FACE = randomBytes(400);

let server: Server;
beforeAll(async () => {
  mkdirSync(CHUNKS, { recursive: true });
  mkdirSync(MEDIA);
  writeFileSync(join(CHUNKS, '0a-b~c.js'), SCRIPT);
  writeFileSync(join(CHUNKS, 'one.css'), STYLE);
  writeFileSync(join(MEDIA, 'face.p.1x.woff2'), FACE);
  writeFileSync(join(built, 'secret.js'), 'what is on the server');
  await readyFiles(built);
  const sendFile = pageFiles(built);
  server = createServer((request, response) => {
    sendFile(request, response, () => {
      response.writeHead(418);
      response.end('handed on');
    });
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
});
afterAll(() => void server.close());

interface Answer {
  readonly status: number | undefined;
  readonly headers: IncomingHttpHeaders;
  readonly body: Buffer;
}

const ask = (path: string, headers: Record<string, string> = {}, method = 'GET') =>
  new Promise<Answer>((resolve, reject) => {
    const address = server.address();
    if (!address || typeof address === 'string') throw new Error('it listens nowhere');
    httpRequest({ port: address.port, host: '127.0.0.1', path, headers, method }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () =>
        resolve({ status: response.statusCode, headers: response.headers, body: Buffer.concat(parts) }),
      );
    })
      .on('error', reject)
      .end();
  });

const OPEN: Record<string, (body: Buffer) => Buffer> = { br: brotliDecompressSync, gzip: gunzipSync };
const opened = ({ headers, body }: Answer) => OPEN[headers['content-encoding'] ?? '']?.(body) ?? body;

const JS = '/_next/static/chunks/0a-b~c.js';
const MARK = '//# allFunctionsCalledOnLoad\n';

describe('a file that pages fetch', () => {
  test.each([
    ['br, gzip', 'br'],
    ['gzip, deflate, br, zstd', 'br'],
    ['gzip, deflate', 'gzip'],
    ['GZIP;q=0.5', 'gzip'],
    ['br;q=0, gzip', 'gzip'],
    ['br;q=0.0, gzip;q=0', undefined],
    ['brotli, xgzip', undefined],
    ['', undefined],
  ])('comes packed as its asker takes it: %p', async (accepted, encoding) => {
    for (const [path, whole, kind] of [
      [JS, MARK + SCRIPT, 'application/javascript; charset=UTF-8'],
      ['/_next/static/chunks/one.css', STYLE, 'text/css; charset=UTF-8'],
    ] as const) {
      // The second answer comes from memory.
      for (let times = 0; times < 2; times += 1) {
        const answer = await ask(path, { 'accept-encoding': accepted });
        expect([answer.status, answer.headers['content-encoding'], answer.headers['content-type']]).toEqual([
          200,
          encoding,
          kind,
        ]);
        expect(opened(answer).toString()).toBe(whole);
        expect(answer.headers['content-length']).toBe(`${answer.body.length}`);
        expect(answer.headers.vary).toBe('accept-encoding');
        expect(answer.headers['cache-control']).toBe('public, max-age=31536000, immutable');
        if (encoding) expect(answer.body.length).toBeLessThan(whole.length / 4);
      }
    }
  });

  test('a face of type is packed as it is', async () => {
    const answer = await ask('/_next/static/media/face.p.1x.woff2', { 'accept-encoding': 'br, gzip' });
    expect([answer.status, answer.headers['content-type'], answer.headers['content-encoding']]).toEqual([
      200,
      'font/woff2',
      undefined,
    ]);
    expect(answer.body.equals(FACE)).toBe(true);
  });

  test('its head alone has what the whole has, and no body', async () => {
    const whole = await ask(JS, { 'accept-encoding': 'gzip' });
    const head = await ask(JS, { 'accept-encoding': 'gzip' }, 'HEAD');
    expect(head.body.length).toBe(0);
    expect({ ...head.headers, date: '' }).toEqual({ ...whole.headers, date: '' });
  });

  test.each([
    ['what is not there', '/_next/static/chunks/other.js', {}, 'GET'],
    ['what lies outside', '/_next/static/chunks/../../secret.js', {}, 'GET'],
    ['what lies outside, in other letters', '/_next/static/chunks/%2e%2e%2f%2e%2e%2fsecret.js', {}, 'GET'],
    ['a folder up', '/_next/static/chunks/..', {}, 'GET'],
    ['its packed form by name', `${JS}.br`, {}, 'GET'],
    ['a question behind it', `${JS}?v=1`, {}, 'GET'],
    ['a part of it', JS, { range: 'bytes=5-2' }, 'GET'],
    ['something sent to it', JS, {}, 'POST'],
    ['another place', '/', {}, 'GET'],
  ])('hands on %s', async (_, path, headers, method) => {
    const answer = await ask(path, headers, method);
    expect([answer.status, answer.body.toString()]).toEqual([418, 'handed on']);
  });

  test('one that came later is found, one that is gone is still sent to whoever has the page', async () => {
    const path = '/_next/static/chunks/late.css';
    expect((await ask(path)).status).toBe(418);
    writeFileSync(join(CHUNKS, 'late.css'), STYLE);
    // Not packed yet: whole.
    expect((await ask(path, { 'accept-encoding': 'br' })).body.toString()).toBe(STYLE);
    rmSync(join(CHUNKS, 'late.css'));
    expect((await ask(path, { 'accept-encoding': 'br' })).body.toString()).toBe(STYLE);
  });
});

test('made ready twice, a script is marked once, and only scripts and styles lie packed beside themselves', async () => {
  const before = readFileSync(join(CHUNKS, '0a-b~c.js'), 'utf8');
  expect(before).toBe(MARK + SCRIPT);
  await readyFiles(built);
  expect(readFileSync(join(CHUNKS, '0a-b~c.js'), 'utf8')).toBe(before);
  expect(readFileSync(join(CHUNKS, 'one.css'), 'utf8')).toBe(STYLE);
  expect(readdirSync(CHUNKS).filter((name) => name.startsWith('one'))).toEqual(['one.css', 'one.css.br', 'one.css.gz']);
  expect(readdirSync(MEDIA)).toEqual(['face.p.1x.woff2']);
});
