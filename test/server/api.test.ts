import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { yardShop } from '../db/temporary-shop';
import { freePort, startServer, type RunningServer } from './running-server';

let server: RunningServer;

beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-api-'));
  yardShop(join(folder, 'shop.sqlite')).close();
  server = await startServer(folder, await freePort());
}, 60_000);

afterAll(() => server.kill());

const post = (path: string, body: string, headers: Record<string, string> = {}) =>
  fetch(`${server.address}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body,
  });

describe('POST /api/reckon', () => {
  const request = { id: 1, op: 'convert', value: 1, from: 'in', to: 'mm' };
  test('one request, or many, in order', async () => {
    expect(await (await post('/api/reckon', JSON.stringify(request))).json()).toEqual({
      id: 1,
      ok: true,
      result: { value: 25.4 },
      notes: [],
    });
    const many = (await (await post('/api/reckon', JSON.stringify([request, { id: 2, op: 'nope' }, 3]))).json()) as {
      ok: boolean;
    }[];
    expect(many.map((one) => one.ok)).toEqual([true, false, false]);
  });
  test('more than a thousand, and what is not JSON, are refused', async () => {
    expect((await post('/api/reckon', JSON.stringify(Array.from({ length: 1001 }, () => request)))).status).toBe(400);
    expect((await post('/api/reckon', 'not json')).status).toBe(400);
    expect(
      (
        (await (
          await post('/api/reckon', JSON.stringify(Array.from({ length: 1000 }, () => request)))
        ).json()) as unknown[]
      ).length,
    ).toBe(1000);
  });
});

describe('a drawing of a joint', () => {
  test('goes out as a file by the joint’s name; of a joint that is not here, a sentence', async () => {
    const answer = await fetch(`${server.address}/api/joints/demo-m-joint-cover/drawing`);
    expect([answer.status, answer.headers.get('content-type'), answer.headers.get('content-disposition')]).toEqual([
      200,
      'image/svg+xml; charset=utf-8',
      "attachment; filename*=UTF-8''Timing%20cover.svg",
    ]);
    expect(await answer.text()).toMatch(/^<\?xml .*<svg .*<\/svg>\n$/s);
    expect((await fetch(`${server.address}/api/joints/none/drawing`)).status).toBe(404);
  });
});

describe('who has the wrench, by the API', () => {
  const wrench = '/api/tightenings/demo-m-joint-head-round-1/wrench';
  const move = (act: string, bench: string) => post(wrench, JSON.stringify({ act, bench }));
  test('one has it; a line of another is refused with the right status; laid down, it is free', async () => {
    expect((await move('open', 'bench-one')).status).toBe(200);
    const line = { id: 'by-api-line-1', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0, bench: 'bench-two' };
    const events = '/api/tightenings/demo-m-joint-head-round-1/events';
    expect((await post(events, JSON.stringify(line))).status).toBe(409);
    expect((await move('lay-down', 'bench-two')).status).toBe(409);
    expect((await move('snatch', 'bench-two')).status).toBe(400);
    expect((await move('lay-down', 'bench-one')).status).toBe(200);
    const seen = (await (await fetch(`${server.address}${wrench}?bench=bench-two`)).json()) as {
      result: { state: string };
    };
    expect(seen.result.state).toBe('free');
    expect((await fetch(`${server.address}/api/tightenings/none/wrench?bench=bench-two`)).status).toBe(404);
    expect((await post(wrench, '{}', { origin: 'http://elsewhere.example' })).status).toBe(403);
  });
});

describe('the finding door', () => {
  const ask = async (q: string) => {
    const answer = await fetch(`${server.address}/api/find?q=${encodeURIComponent(q)}`);
    return {
      status: answer.status,
      body: (await answer.json()) as { ok: boolean; result: readonly { href: string }[] },
    };
  };
  test('finds, answers nothing with nothing, and takes words of any length', async () => {
    expect((await ask('norhem')).body.result[0]?.href).toBe('/engines/demo-norrhem/joints');
    expect(await ask('')).toEqual({ status: 200, body: { ok: true, result: [] } });
    expect((await ask('x'.repeat(4000))).status).toBe(200);
    expect((await ask("'; DROP TABLE joint; --")).status).toBe(200);
  });
});

describe('the bench', () => {
  const path = '/api/tightenings/demo-m-joint-head-round-1/events';
  const line = { id: 'a-line-of-its-own', kind: 'pull', step: 7, outcome: 'pulled', age_ms: 5000 };
  test.each([
    ['not json', 'x', {}, 400],
    ['no such kind', JSON.stringify({ ...line, kind: 'dance' }), {}, 400],
    ['no outcome', JSON.stringify({ ...line, outcome: undefined }), {}, 400],
    ['out of turn', JSON.stringify({ ...line, step: 2 }), {}, 409],
    ['from another site', JSON.stringify(line), { origin: 'http://elsewhere.example' }, 403],
  ])('%s is refused in the one shape', async (_, body, headers, status) => {
    const response = await post(path, body, headers);
    expect(response.status).toBe(status);
    expect(await response.json()).toMatchObject({
      ok: false,
      error: { code: expect.any(String) as unknown, message: expect.stringMatching(/[.]$/) as unknown },
    });
  });
  test('a line that follows is written once', async () => {
    interface Answer {
      readonly ok: boolean;
      readonly result: {
        readonly id: string;
        readonly isNew: boolean;
        readonly at: string;
        readonly recordedAt: string;
      };
    }
    const first = (await (await post(path, JSON.stringify(line))).json()) as Answer;
    expect(first).toMatchObject({ ok: true, result: { id: line.id, isNew: true } });
    expect(Date.parse(first.result.recordedAt) - Date.parse(first.result.at)).toBe(line.age_ms);
    expect(await (await post(path, JSON.stringify(line))).json()).toEqual({
      ok: true,
      result: { ...first.result, isNew: false },
    });
  });
  test('lines that follow one another are taken together; what cannot stand is told beside those written', async () => {
    const lines = [8, 3].map((step) => ({ ...line, id: `together-at-${step}`, step }));
    const answer = await post(path, JSON.stringify(lines));
    expect(answer.status).toBe(200);
    expect(await answer.json()).toMatchObject({
      ok: true,
      result: { recorded: [{ id: 'together-at-8', isNew: true }], refused: { code: 'out-of-turn' } },
    });
  });
  test('an unknown tightening is not found', async () =>
    expect((await post('/api/tightenings/none/events', JSON.stringify(line))).status).toBe(404));
});

describe('starting', () => {
  const start = (env: Record<string, string>) =>
    new Promise<{ code: number | null; said: string }>((resolve) => {
      const child = spawn(process.execPath, ['scripts/serve.mjs'], {
        env: { ...process.env, ...env },
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      let said = '';
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
      child.once('exit', (code) => resolve({ code, said }));
    });

  test('a port in use gets a sentence and a next step', async () => {
    const taken = createServer();
    const port = await new Promise<number>((resolve) =>
      taken.listen(0, '127.0.0.1', () => resolve((taken.address() as { port: number }).port)),
    );
    const { code, said } = await start({ PORT: String(port) });
    taken.close();
    expect(code).toBe(1);
    expect(said).toMatch(new RegExp(`Port ${port} is in use.*PORT=${port + 1}`, 's'));
  }, 60_000);

  test('a damaged file is said on the screen, with a next step, and left alone', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'spanner-damaged-'));
    writeFileSync(join(folder, 'shop.sqlite'), 'no database '.repeat(200));
    const damaged = await startServer(folder, await freePort());
    const html = await (await fetch(damaged.address)).text();
    await damaged.kill();
    expect(html).toContain('is damaged or is not a shop file');
    expect(html).toContain('npm run restore');
    expect(html).toContain('href="/copies"');
  }, 60_000);
});
