import { mkdtempSync } from 'node:fs';
import { Agent, request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { yardShop } from '../db/temporary-shop';
import { longRound, newPull, sendPull } from './pulls';
import { freePort, startServer, type RunningServer } from './running-server';

jest.setTimeout(60_000);

let server: RunningServer;
let round: string;
beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-door-'));
  const shop = yardShop(join(folder, 'shop.sqlite'));
  round = longRound(shop, 'round');
  shop.close();
  server = await startServer(folder, await freePort(), { SPANNER_NAMES: 'workshop.lan' });
});
afterAll(() => server.kill());

interface Asked {
  readonly method?: string;
  readonly path?: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
}

/** A request as no browser would send it: any Host, any length. */
const ask = ({ method = 'GET', path = '/', headers = {}, body }: Asked) =>
  new Promise<{ status: number; code: string | undefined; headers: NodeJS.Dict<string | string[]> }>(
    (resolve, reject) => {
      const { hostname, port } = new URL(server.address);
      const length = body === undefined ? {} : { 'content-length': `${Buffer.byteLength(body)}` };
      const sent = httpRequest({ hostname, port, method, path, headers: { ...length, ...headers } }, (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => {
          const code = /"code":"([\w-]+)"/.exec(text)?.[1];
          resolve({ status: response.statusCode ?? 0, code, headers: response.headers });
        });
      });
      sent.on('error', reject);
      sent.end(body);
    },
  );

const port = () => new URL(server.address).port;
const RECKON = { method: 'POST', path: '/api/reckon', body: '{"op":"convert","value":1,"from":"in","to":"mm"}' };

describe('who may come in', () => {
  test.each([
    ['its own address', {}, 200],
    ['localhost', { host: 'localhost' }, 200],
    ['the sixth protocol', { host: '[::1]' }, 200],
    ['a name it was told', { host: 'workshop.lan:8080' }, 200],
    ['a name that was bent to this machine', { host: 'rebound.example' }, 421],
    ['a name in front of another', { 'x-forwarded-host': 'evil.example' }, 421],
    ['no name at all', { host: 'a b' }, 421],
    ['a name with an at', { host: 'localhost@evil.example' }, 421],
  ] as const)('%s', async (_, headers, status) => {
    expect((await ask({ headers })).status).toBe(status);
    expect((await ask({ ...RECKON, headers })).status).toBe(status);
  });
  test.each([
    ['of another site', { origin: 'http://evil.example' }],
    ['of no site', { origin: 'null' }],
    ['that is none', { origin: '::::' }],
    ['of another port of this machine', { origin: 'http://127.0.0.1:1' }],
    ['that the browser calls cross-site', { 'sec-fetch-site': 'cross-site' }],
  ])('a page %s writes and reckons nothing', async (_, headers) => {
    const ways: readonly Asked[] = [
      RECKON,
      { method: 'POST', path: `/api/tightenings/${round}/events`, body: newPull(0).body },
      { method: 'POST', path: '/api/instruments/readings', body: '{}' },
      { method: 'POST', path: '/api/copies', body: 'x' },
      { method: 'POST', path: '/engines/read-in', body: '[]' },
    ];
    for (const way of ways) {
      const answer = await ask({ ...way, headers });
      expect([way.path, answer.status, answer.code]).toEqual([way.path, 403, 'other-origin']);
    }
  });
  test('its own pages do', async () => {
    expect((await ask({ ...RECKON, headers: { origin: server.address } })).status).toBe(200);
    const local = { origin: `http://localhost:${port()}`, host: `localhost:${port()}` };
    expect((await ask({ ...RECKON, headers: local })).status).toBe(200);
  });
});

describe('with how much', () => {
  test.each([
    ['/api/reckon', 1_000_001],
    [`/api/fits/x/lines`, 1_000_001],
    ['/api/leaves/x/photo', 31_000_001],
    ['/engines/read-in', 60_000_001],
  ])('%s: more than %d bytes are refused before they are read', async (path, length) => {
    const answer = await ask({ method: 'POST', path, headers: { 'content-length': `${length}` } });
    expect([answer.status, answer.code]).toEqual([413, 'too-large']);
  });
  test('a body of no told length, another way of writing, a bad address', async () => {
    const chunked = await ask({ method: 'POST', path: '/api/reckon', headers: { 'transfer-encoding': 'chunked' } });
    expect([chunked.status, chunked.code]).toEqual([411, 'length-required']);
    // An act that the program hands on to itself tells no length; what only looks like one is asked for it.
    const handedOn = { 'transfer-encoding': 'chunked', 'x-action-forwarded': '1', 'next-action': '00' };
    const status = async (path: string, headers: Readonly<Record<string, string>>) =>
      (await ask({ method: 'POST', path, headers })).status;
    expect(await status('/engines/x/joints', handedOn)).not.toBe(411);
    expect(await status('/api/reckon', handedOn)).toBe(411);
    expect(await status('/engines/x/joints', { ...handedOn, 'x-action-forwarded': '' })).toBe(411);
    expect(await status('/engines/x/joints', { 'transfer-encoding': 'chunked', 'x-action-forwarded': '1' })).toBe(411);
    expect((await ask({ method: 'PUT', path: '/api/reckon', body: '{}' })).status).toBe(405);
    for (const path of ['/api/photos/%ff', '/%', '/engines/%E0%A4%A']) expect((await ask({ path })).status).toBe(400);
    expect((await ask({ path: '/_next/image?url=%2Fa&w=64&q=75' })).status).toBe(404);
  });
});

test('every answer forbids a page what it needs not, and its own scripts run by this answer’s word alone', async () => {
  const nonces = new Set<string>();
  for (const path of ['/', '/copies', '/no-such-page', '/api/reckon', '/%']) {
    const { headers } = await ask({ path });
    const policy = String(headers['content-security-policy']);
    for (const rule of ["object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'"])
      expect(policy).toContain(rule);
    expect(/script-src ([^;]+)/.exec(policy)?.[1]).toMatch(/^'self' 'nonce-[\w+/=]{20,}'$/);
    nonces.add(policy);
    expect(headers['cross-origin-opener-policy']).toBe('same-origin');
    expect(headers['cross-origin-resource-policy']).toBe('same-origin');
    expect(headers['x-content-type-options']).toBe('nosniff');
  }
  expect(nonces.size).toBe(5);
  const page = await (await fetch(server.address)).text();
  expect(page.match(/<script(?![^>]*nonce=)(?![^>]*src=)/g)).toBeNull();
});

test('a style sheet and a face of type carry no policy of a page; whatever only looks like one does', async () => {
  const page = await (await fetch(server.address)).text();
  const assets = [...page.matchAll(/"(\/_next\/static\/[^"?]+\.(css|woff2|js))/g)].map(([, path = '', kind]) => ({
    path,
    kind,
  }));
  expect(new Set(assets.map(({ kind }) => kind))).toEqual(new Set(['css', 'woff2', 'js']));
  for (const { path, kind } of assets) {
    const { status, headers } = await ask({ path, headers: { 'accept-encoding': 'br, gzip' } });
    expect([status, headers['x-content-type-options']]).toEqual([200, 'nosniff']);
    expect(headers['content-security-policy'] === undefined).toBe(kind !== 'js');
    if (kind === 'js')
      expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[\w+/=]{20,}' 'wasm-unsafe-eval';/);
    // Every one of a build is packed, and nobody gets one by a name that is not this server's.
    expect([path, headers['content-encoding']]).toEqual([path, kind === 'woff2' ? undefined : 'br']);
    expect((await ask({ path, headers: { host: 'rebound.example' } })).status).toBe(421);
  }
  const script = assets.find(({ kind }) => kind === 'js')?.path ?? '';
  expect(await (await fetch(server.address + script)).text()).toMatch(/^\/\/# allFunctionsCalledOnLoad\n/);
  for (const path of [
    '/_next/static/../../copies/x.css',
    '/_next/static/chunks/../../../copies/x.css',
    '/_next/static/chunks/%2e%2e/%2e%2e/copies.css',
    '/copies/x.css',
    '/_next/static/chunks/x.css?y',
    '/_next/static/chunks/../../../copies/x.js',
    '/copies/x.js',
    '/copies?/_next/static/chunks/x.js',
  ]) {
    const policy = (await ask({ path })).headers['content-security-policy'];
    expect(policy).toContain("object-src 'none'");
    expect(policy).not.toContain('wasm');
  }
});

describe('whatever is being reckoned', () => {
  const ring = Array.from({ length: 500 }, (_, i) => [
    Number((100 * Math.cos((i / 250) * Math.PI)).toFixed(1)),
    Number((100 * Math.sin((i / 250) * Math.PI)).toFixed(1)),
  ]);
  const heavy = JSON.stringify(Array.from({ length: 40 }, () => ({ op: 'order', school: 'star', positions: ring })));
  test('a pull is answered beside it, and it ends in its time', async () => {
    const begun = Date.now();
    const reckoning = ask({ ...RECKON, body: heavy });
    const times: number[] = [];
    for (let step = 0; step < 40; step++) {
      const from = performance.now();
      expect(await sendPull(server.address, round, newPull(step))).toBe(true);
      times.push(performance.now() - from);
    }
    const answer = await reckoning;
    expect([answer.status, answer.code]).toEqual([503, 'took-too-long']);
    expect(Date.now() - begun).toBeLessThan(20_000);
    times.sort((a, b) => a - b);
    // Waiting for the reckoner would be seconds; a machine with much to do beside it is not.
    expect(times[20]).toBeLessThan(150);
    // The next one has a thread of its own again.
    expect((await ask(RECKON)).status).toBe(200);
  });
  test('names of threads are read in a time that grows no faster than they do, and only so long ones', async () => {
    const from = performance.now();
    const long = JSON.stringify({ op: 'thread', designation: `m10x${'1'.repeat(900_000)}z` });
    const answer = await ask({ ...RECKON, body: long });
    expect(answer.code).toBe('unknown-thread');
    expect(performance.now() - from).toBeLessThan(3000);
  });
});

test('a connection stays open from one pull to the next, also where there are seconds between them', async () => {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const isReused = () =>
    new Promise<boolean>((resolve, reject) => {
      const sent = httpRequest(`${server.address}/api/instruments/readings`, { agent }, (response) => {
        response.resume().on('end', () => resolve(sent.reusedSocket));
      });
      sent.on('error', reject);
      sent.end();
    });
  expect(await isReused()).toBe(false);
  await pause(6500);
  expect(await isReused()).toBe(true);
  agent.destroy();
});
