import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, jest, test } from '@jest/globals';
import { openShop } from '@/db/shop';
import { WHO_COOKIE } from '@/model/initials';
import { yardShop } from '../db/temporary-shop';
import { longRound, newPull } from './pulls';
import { freePort, startServer, type RunningServer } from './running-server';

jest.setTimeout(60_000);

const folder = mkdtempSync(join(tmpdir(), 'spanner-short-'));
const FILES = { own: join(folder, 'shop.sqlite'), demonstration: join(folder, 'demonstration.sqlite') };
let server: RunningServer;
let round: string;

beforeAll(async () => {
  for (const file of Object.values(FILES)) {
    const shop = yardShop(file);
    round = longRound(shop, 'round');
    shop.close();
  }
  server = await startServer(folder, await freePort());
});
afterAll(() => server.kill());

interface Sent {
  readonly to?: string;
  readonly body?: string;
  readonly headers?: Readonly<Record<string, string>>;
}

/** What is answered; an address with a question behind it goes through the framework, as all did before. */
async function answers(way: 'short' | 'framework', { to = round, body = '{}', headers = {} }: Sent) {
  const answer = await fetch(`${server.address}/api/tightenings/${to}/events${way === 'short' ? '' : '?x'}`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json', ...headers },
  });
  const { status, headers: said } = answer;
  const guards = ['cross-origin-resource-policy', 'x-content-type-options', 'x-frame-options'].map((name) =>
    said.get(name),
  );
  // The framework says by what its pages vary.
  const isShort = !said.has('vary');
  return { status, isShort, guards, type: said.get('content-type'), body: (await answer.json()) as object };
}

const linesOf = (file: string) => {
  const shop = openShop(file);
  const events = shop.tightenings.events(round);
  shop.close();
  return events;
};

test('until its route was read in, a pull goes through the framework, and from then on past it', async () => {
  expect(await answers('short', { body: newPull(0).body })).toMatchObject({ status: 200, isShort: false });
  expect(await answers('short', { body: newPull(1).body })).toMatchObject({ status: 200, isShort: true });
  expect(await answers('framework', { body: newPull(2).body })).toMatchObject({ isShort: false });
  expect(linesOf(FILES.own).map((line) => 'step' in line && line.step)).toEqual([0, 1, 2]);
});

test.each([
  ['no line at all', {}],
  ['no JSON', { body: '{"kind":' }],
  ['a mark in front of it', { body: '\ufeff[]' }],
  ['bytes that are no text', { body: '"\ud800"' }],
  ['an empty list', { body: '[]' }],
  ['a list of more than are taken', { body: JSON.stringify(Array.from({ length: 500 }, () => ({}))) }],
  ['a line out of turn', { body: newPull(40).body }],
  ['a line with a figure below nothing', { body: newPull(3).body.replace('}', ',"read_Nm":-5}') }],
  ['a round that is not there', { to: 'none', body: newPull(0).body }],
  ['an address with signs', { to: 'a%20b%2Fc', body: newPull(0).body }],
  ['an address that cannot be read', { to: '%E0%A4%A', body: '{}' }],
  ['another site', { headers: { origin: 'http://elsewhere.example' } }],
  ['an origin that is none', { headers: { origin: 'null' } }],
] as const)('refused or taken alike either way: %s', async (_, sent) => {
  const [short, framework] = [await answers('short', sent), await answers('framework', sent)];
  expect({ ...short, isShort: false }).toEqual({ ...framework, isShort: false });
  expect(short.guards.slice(0, 2)).toEqual(['same-origin', 'nosniff']);
});

test('it writes into the shop that the device looks at, in the name of whoever is there', async () => {
  const headers = { cookie: `other=1; spanner-shop=demonstration; ${WHO_COOKIE}=${encodeURIComponent('MÜ')}` };
  const first = await answers('short', { headers, body: newPull(0).body });
  expect(first).toMatchObject({ status: 200, isShort: true });
  await answers('framework', { headers, body: newPull(1).body });
  expect(linesOf(FILES.demonstration).map(({ who }) => who)).toEqual(['MÜ', 'MÜ']);
  expect(linesOf(FILES.own)).toHaveLength(3);
});

test('the same line by either way is one line', async () => {
  const body = newPull(3).body;
  const [first, again] = [await answers('short', { body }), await answers('framework', { body })];
  expect(first.body).toMatchObject({ ok: true, result: { isNew: true } });
  expect(again.body).toMatchObject({ ok: true, result: { isNew: false } });
  expect(await answers('short', { body })).toMatchObject({ isShort: true, body: again.body });
});
