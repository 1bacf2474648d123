import { beforeEach, describe, expect, test } from '@jest/globals';
import { startTighteningAction } from '@/features/joint/actions';
import { recordEvent } from '@/features/bench/record-event';
import type { Shop } from '@/db/shop';
import { jointStateOf } from '@/model/engine/engine-rows';
import { TEST_PURPOSES } from '@/model/joint/tightening';
import { jointNamed, rowsNamed } from '../db/temporary-shop';
import { accepted, ownShop, refused, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const MAINS = 'demo-n-joint-mains';
const begin = (purpose: string) =>
  startTighteningAction({ jointId: MAINS, version: jointNamed(shop, MAINS).version, purpose, reason: 'as asked' });
const roundOf = async (purpose: string) =>
  there(shop.tightenings.find(there((await accepted(begin(purpose))).href.split('/').at(-1))));

describe('a round that does not complete the joint', () => {
  test.each(TEST_PURPOSES)(
    '%s: is begun though a fit of it is out, pulled to its end, and leaves the joint open',
    async (purpose) => {
      expect((await refused(begin('final'))).code).toBe('fit-out');
      const { id, plan, ...round } = await roundOf(purpose);
      expect(round.purpose).toBe(purpose);
      plan.steps.forEach((step, i) => {
        const line = { id: `${purpose}-line-${i}`, step: i, age_ms: 0 };
        const sent = step.kind === 'shaft' ? { ...line, kind: 'shaft' } : { ...line, kind: 'pull', outcome: 'pulled' };
        expect(recordEvent(shop, id, sent)).toMatchObject({ ok: true });
      });
      const { final, tightenings } = jointStateOf(rowsNamed(shop, 'demo-norrhem'), jointNamed(shop, MAINS));
      expect(tightenings.find(({ tightening }) => tightening.id === id)?.state.complete).toBe(true);
      expect(final?.state.complete ?? false).toBe(false);
    },
  );
  test('to crush a strip the crank is held: no turn of it is planned', async () => {
    expect(jointNamed(shop, MAINS).turnShaft).toBe(true);
    const kinds = async (purpose: string) => new Set((await roundOf(purpose)).plan.steps.map(({ kind }) => kind));
    expect((await kinds('measuring')).has('shaft')).toBe(true);
    expect((await kinds('strip')).has('shaft')).toBe(false);
  });
  test('what nobody may choose is refused', async () => {
    expect((await refused(begin('retorque'))).code).toBe('bad-field');
    expect((await refused(begin('for fun'))).code).toBe('bad-field');
  });
});
