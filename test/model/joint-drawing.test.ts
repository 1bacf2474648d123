import { describe, expect, test } from '@jest/globals';
import { lettersOf } from '@/interface/words/kind-words';
import { newKind } from '@/model/joint/fastener-kind';
import { jointDrawing } from '@/model/joint/joint-drawing';
import { turnOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import { jointNamed, yardShop } from '../db/temporary-shop';

const shop = yardShop();
const head = jointNamed(shop, 'demo-f-joint-head');
const cover = jointNamed(shop, 'demo-m-joint-cover');

/** Places and numbers as they are drawn. */
const drawn = (svg: string) =>
  [...svg.matchAll(/translate\((\S+) (\S+)\)"><circle r="(\S+)"\/><text[^>]*>(\d+)</g)].map(([, x, y, r, number]) => ({
    at: [Number(x), Number(y)],
    r: Number(r),
    number: Number(number),
  }));

describe('the drawing of a joint as a file', () => {
  test('has each fastener once, by its number in the turn, and none over another', () => {
    const fasteners = drawn(jointDrawing(head));
    expect(fasteners.map(({ number }) => number)).toEqual(
      turnOf(head).map((_, place) => turnOf(head).indexOf(place) + 1),
    );
    fasteners.forEach(({ at: [x = 0, y = 0], r }, i) =>
      fasteners
        .slice(0, i)
        .forEach(({ at: [u = 0, v = 0] }) => expect(Math.hypot(x - u, y - v)).toBeGreaterThan(2 * r)),
    );
  });
  test('of places that were measured is in millimetres, each where it was measured, all of it on the sheet', () => {
    const svg = jointDrawing(cover);
    const fasteners = drawn(svg);
    expect(fasteners.map(({ at }) => at)).toEqual(cover.detail.places);
    const [, width, height, left, top, wide, high] =
      /width="(\S+)mm" height="(\S+)mm" viewBox="(\S+) (\S+) (\S+) (\S+)"/.exec(svg)?.map(Number) ?? [];
    expect([width, height]).toEqual([wide, high]);
    for (const {
      at: [x = 0, y = 0],
      r,
    } of fasteners) {
      expect(x - r).toBeGreaterThan(left ?? NaN);
      expect(x + r).toBeLessThan((left ?? NaN) + (wide ?? NaN));
      expect(y - r).toBeGreaterThan(top ?? NaN);
      expect(y + r).toBeLessThan((top ?? NaN) + (high ?? NaN));
    }
    expect(jointDrawing(head)).not.toContain('mm"');
  });
  test('letters its kinds, and writes a name as it is', () => {
    const kinds = [newKind(head, 'Long ones', [0, 3])];
    const svg = jointDrawing({ ...head, name: 'Head <& "block">' }, lettersOf(head.fasteners, kinds));
    expect(svg).toContain('<title>Head &lt;&amp; &quot;block&quot;&gt;: ');
    expect([...svg.matchAll(/>([AB])<\/text>/g)].filter(([, letter]) => letter === 'B')).toHaveLength(2);
    expect(jointDrawing(head)).not.toMatch(/>A<\/text>/);
  });
  test('of one alone is a drawing too', () => {
    const one: Joint = { ...head, pattern: 'line', fasteners: 1 };
    expect(drawn(jointDrawing(one))).toEqual([{ at: [0, 0], r: 27, number: 1 }]);
  });
});
