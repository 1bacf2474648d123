import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { patternPositions } from '@/core/tightening';
import { DomainError } from '@/core/units';
import { ShopTrouble } from '@/db/trouble';
import { measure } from '@/server/measure-schema';
import { preferencesFrom, writePreference } from '@/interface/figures/preference-cookies';
import { agoFrom, clockTime, fullDate, nearTime } from '@/interface/figures/times';
import { patternBox, tickEnds, trianglePoints } from '@/interface/pattern/pattern-geometry';
import { toResponse, catchToResponse, rejectCrossOrigin, withJson } from '@/server/http';
import { ok, fail } from '@/model/result';
import { KEY_LIST } from '@/interface/shell/keys';

describe('how a person wants figures shown', () => {
  const page = globalThis as { document?: { cookie: string } };
  afterEach(() => void delete page.document);
  test('nothing said: a point, own units, normal contrast, keys on', () =>
    expect(preferencesFrom(() => undefined)).toEqual({
      decimalSign: '.',
      otherUnits: false,
      contrast: 'normal',
      keys: true,
    }));
  test('what is written comes back', () => {
    const jar = new Map<string, string>();
    page.document = {
      set cookie(text: string) {
        const [pair = ''] = text.split(';');
        const [name = '', value = ''] = pair.split('=');
        jar.set(name, decodeURIComponent(value));
      },
      get cookie() {
        return '';
      },
    };
    writePreference('decimalSign', ',');
    writePreference('otherUnits', 'true');
    writePreference('contrast', 'high');
    writePreference('keys', 'false');
    expect(preferencesFrom((name) => jar.get(name))).toEqual({
      decimalSign: ',',
      otherUnits: true,
      contrast: 'high',
      keys: false,
    });
  });
  test('a cookie that says something else is not believed', () =>
    expect(preferencesFrom(() => 'nonsense')).toEqual({
      decimalSign: '.',
      otherUnits: false,
      contrast: 'normal',
      keys: true,
    }));
});

describe('times', () => {
  const now = new Date(2026, 4, 16, 14, 20).getTime();
  const at = (days: number, hours = 0) => now + days * 86_400_000 + hours * 3_600_000;
  test('today by the clock, within the week by the day, else by the date', () => {
    expect(nearTime(at(0, 3), now)).toBe('17:20');
    expect(nearTime(at(2), now)).toBe('Mon 14:20');
    expect(nearTime(at(-2), now)).toBe('Thu 14:20');
    expect(nearTime(at(40), now)).toMatch(/^25 Jun 2026, 14:20$/);
  });
  test('a time is told once and the same', () => {
    expect([clockTime(now), fullDate(now), agoFrom(at(-7), now)]).toEqual(['14:20', '16 May 2026', '7 days ago']);
  });
});

describe('the drawing of a pattern', () => {
  const count = fc.integer({ min: 1, max: 30 });
  test('its box holds every fastener with room round it', () =>
    fc.assert(
      fc.property(fc.constantFrom('rows', 'ring', 'caps' as const), count, (kind, n) => {
        const positions = patternPositions(kind, n * 2);
        const { x, y, width, height } = patternBox(positions);
        for (const [px, py] of positions) {
          expect(Math.min(px - x, x + width - px)).toBeGreaterThan(40);
          expect(Math.min(py - y, y + height - py)).toBeGreaterThan(40);
        }
      }),
    ));
  test('ticks of passes stand outside the head, none over another', () => {
    const ends = Array.from({ length: 8 }, (_, pass) => tickEnds(pass, 22));
    for (const [x1, y1, x2, y2] of ends) {
      // Each end is sent to a hundredth.
      expect(Math.abs(Math.hypot(x1, y1) - 26)).toBeLessThan(0.01);
      expect(Math.abs(Math.hypot(x2, y2) - 37)).toBeLessThan(0.01);
    }
    const apart = ends.slice(1).map(([x, y], i) => Math.hypot(x - (ends[i]?.[0] ?? 0), y - (ends[i]?.[1] ?? 0)));
    expect(Math.min(...apart)).toBeGreaterThan(10);
  });
  test('the triangle points up and has three like sides', () => {
    const points = trianglePoints(20)
      .split(' ')
      .map((pair) => pair.split(',').map(Number));
    expect(points[0]).toEqual([0, -20]);
    const side = (a: number, b: number) =>
      Math.hypot((points[a]?.[0] ?? 0) - (points[b]?.[0] ?? 0), (points[a]?.[1] ?? 0) - (points[b]?.[1] ?? 0));
    expect(side(0, 1)).toBeCloseTo(side(1, 2), 1);
  });
});

describe('answers over HTTP', () => {
  const post = (body: string, headers: Record<string, string> = {}) =>
    new Request('http://127.0.0.1:1/x', { method: 'POST', body, headers: { host: '127.0.0.1:1', ...headers } });
  test.each([
    ['bad-field', 400],
    ['no-unit', 400],
    ['of-another-bore', 409],
    ['out-of-turn', 409],
    ['crank-held', 409],
    ['not-found', 404],
    ['other-origin', 403],
    ['locked', 503],
    ['disk-full', 507],
    ['not-writable', 500],
    ['failed', 500],
    ['a-code-of-tomorrow', 400],
  ])('%s is %i', (code, status) => expect(toResponse(fail({ code, message: 'No.' })).status).toBe(status));
  test('what went well is 200 with its result', async () => {
    const good = toResponse(ok({ n: 1 }));
    expect([good.status, await good.json()]).toEqual([200, { ok: true, result: { n: 1 } }]);
  });
  test('a page of another site is refused before its body is read', async () => {
    expect(rejectCrossOrigin(post('{}'))).toBeUndefined();
    expect(rejectCrossOrigin(post('{}', { origin: 'http://127.0.0.1:1' }))).toBeUndefined();
    let ran = false;
    const other = await withJson(post('not json', { origin: 'http://elsewhere.example' }), () => {
      ran = true;
      return Promise.resolve(toResponse(ok({})));
    });
    expect([other.status, ran]).toEqual([403, false]);
  });
  test('what is no JSON, a refusal and trouble with the file come in the one shape', async () => {
    expect((await withJson(post('{half'), () => Promise.resolve(toResponse(ok({}))))).status).toBe(400);
    const refusal = await catchToResponse(() =>
      Promise.reject(new DomainError('no-unit', 'The figure has no unit.', 'text')),
    );
    expect(await refusal.json()).toMatchObject({ ok: false, error: { code: 'no-unit', field: 'text' } });
    const trouble = await catchToResponse(() =>
      Promise.reject(new ShopTrouble('disk-full', 'The disk is full.', 'Free some.')),
    );
    expect([trouble.status, await trouble.json()]).toMatchObject([
      507,
      { error: { code: 'disk-full', message: 'The disk is full. Free some.' } },
    ]);
  });
});

describe('lists', () => {
  test('no key does two things in one place', () => {
    for (const { keys } of KEY_LIST) {
      const all = keys.flatMap(([key]) => (key === '1 … 7' ? ['1', '2', '3', '4', '5', '6', '7'] : key.split(/, | /)));
      expect(new Set(all).size).toBe(all.length);
    }
  });
  test('a measure that is left out is asked for by its name', () => {
    expect(measure('the thread').validate(' 30 mm ').value).toBe('30 mm');
    expect(measure('the thread').validate('').error?.message).toBe('Give the thread.');
    expect(measure('the thread').validate('x'.repeat(61)).error).toBeDefined();
  });
});
