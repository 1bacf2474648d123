import { describe, expect, test } from '@jest/globals';
import { GASKET_SAYS, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { filmGuards, gasketGuards, warmGuards, withFilmFound } from '@/model/joint/retorque-guards';

const NO_LOAD = { ladder: { band: { p5_N: 0, p50_N: 0, p95_N: 0 } } } as never;
const LOAD = { ladder: { band: { p5_N: 18_000, p50_N: 20_000, p95_N: 23_000 } } } as never;

describe('what stands against going over a joint', () => {
  test('a film as it was pulled asks nothing, a dried one tells what it costs, a stuck one stops', () => {
    expect(filmGuards('as-pulled', LOAD)).toEqual([]);
    expect(filmGuards('dried', LOAD)).toMatchObject([
      { severity: 'ask', message: expect.stringContaining('17.0 to 20.0 kN') },
    ]);
    expect(filmGuards('dried', NO_LOAD)[0]?.message).not.toContain('kN');
    expect(filmGuards('stuck', LOAD)).toMatchObject([{ severity: 'stop' }]);
  });

  test('in a dried one the least and the middle of the band come down, of each kind; else nothing does', () => {
    const figure = { ladder: { target_Nm: 40, notes: [], band: { p5_N: 20_000, p50_N: 20_000, p95_N: 23_000 } } };
    const plan = { ...figure, kinds: [{ ...figure, name: 'long' }] } as never;
    const less = {
      target_Nm: 40,
      band: { p5_N: 17_000, p50_N: 18_500, p95_N: 23_000 },
      notes: [{ code: 'film-dried', message: expect.stringMatching(/down to 15 % less/) }],
    };
    expect(withFilmFound(plan, 'dried')).toEqual({
      filmFound: 'dried',
      ladder: less,
      kinds: [{ name: 'long', ladder: less }],
    });
    expect(withFilmFound(figure as never, 'dried')).toEqual({ filmFound: 'dried', ladder: less });
    expect(withFilmFound(plan, 'stuck')).toEqual({ ...(plan as object), filmFound: 'stuck' });
  });

  test('what its gasket says was not read: it is asked, and of nothing else that it may say', () => {
    for (const gasketSays of GASKET_SAYS)
      expect(gasketGuards({ detail: { ...PLAIN_DETAIL, gasketSays } })).toEqual(
        gasketSays === 'unread'
          ? [{ code: 'gasket-unread', severity: 'ask', message: expect.stringContaining('was not read') }]
          : [],
      );
  });

  const warm = { retorqueSchool: 'warm' as const, detail: { ...PLAIN_DETAIL, warm: { head_C: 80, page: 'page 41' } } };
  const known = { is: 'known' as const, counts_K: 5, share: 0.02, within_K: 5 };

  test('a warm aluminium head: what is lost as it cools, in its share, with the page that asks for it', () => {
    // Two in a hundred at 5 K: 24 of 60 K.
    expect(warmGuards(warm, 'aluminium', known, 20)).toMatchObject([
      {
        code: 'warm-aluminium',
        severity: 'stop',
        message: expect.stringMatching(/60 K over the air.*up to 24 %.*page 41/),
      },
    ]);
    // One of which nobody said the metal may be one.
    expect(warmGuards(warm, 'unsaid', known, 20)).toMatchObject([
      { severity: 'stop', message: expect.stringMatching(/^A head of which nobody said the metal .*up to 24 %/) },
    ]);
    expect(warmGuards(warm, 'iron', known, 20)).toEqual([]);
    expect(warmGuards(warm, 'aluminium', { is: 'unknown' }, 20)[0]?.message).toContain('How much is not known');
    expect(warmGuards(warm, 'aluminium', { ...known, within_K: 0.5 }, 20)[0]?.message).toContain('up to 100 %');
  });

  test('of a cold one, or of iron, nothing', () => {
    expect(warmGuards({ ...warm, retorqueSchool: 'straight' }, 'aluminium', known, 20)).toEqual([]);
    expect(warmGuards(warm, 'iron', known, 20)).toEqual([]);
    expect(warmGuards({ ...warm, detail: PLAIN_DETAIL }, 'aluminium', known, 20)).toEqual([]);
  });
});
