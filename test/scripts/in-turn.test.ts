import { EventEmitter } from 'node:events';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';

type Take = (path: string, response: EventEmitter & { destroyed: boolean }, work: () => void) => void;
const { inTurn } = jest.requireActual<{ inTurn: (options?: { hold_ms?: number }) => Take }>(
  '../../scripts/in-turn.cjs',
);

const PULL = '/api/tightenings/round/events';
const PAGE = '/engines/one/joints';

let take: Take;
/** What was begun, in its order. */
let begun: string[];
beforeEach(() => {
  take = inTurn();
  begun = [];
});
afterEach(() => {
  jest.useRealTimers();
});

/** A request that comes in; it is answered when its end is called. */
function comes(path: string, name = path) {
  const response = Object.assign(new EventEmitter(), { destroyed: false });
  const list = begun;
  take(path, response, () => list.push(name));
  return {
    answered: () => response.emit('close'),
    leaves: () => {
      response.destroyed = true;
      response.emit('close');
    },
  };
}

describe('what comes at once', () => {
  test('is let in two at a time, in the order in which it came', () => {
    const [first, second] = ['a', 'b', 'c', 'd'].map((name) => comes(PAGE, name));
    expect(begun).toEqual(['a', 'b']);
    second?.answered();
    expect(begun).toEqual(['a', 'b', 'c']);
    first?.answered();
    expect(begun).toEqual(['a', 'b', 'c', 'd']);
  });

  test('a pull goes before everything that waits, and nothing is let in beside it', () => {
    const pages = ['a', 'b', 'c', 'd'].map((name) => comes(PAGE, name));
    const pull = comes(PULL, 'pull');
    expect(begun).toEqual(['a', 'b', 'pull']);
    pages[0]?.answered();
    pages[1]?.answered();
    expect(begun).toEqual(['a', 'b', 'pull']);
    pull.answered();
    expect(begun).toEqual(['a', 'b', 'pull', 'c', 'd']);
  });

  test('pulls of several benches are let in together, so that they are written together', () => {
    const pulls = Array.from({ length: 18 }, (_, n) => comes(PULL, `${n}`));
    expect(begun).toHaveLength(16);
    pulls[5]?.answered();
    expect(begun.at(-1)).toBe('16');
    expect(begun).toHaveLength(17);
  });

  test('what is being reckoned keeps no page waiting', () => {
    for (let i = 0; i < 5; i++) comes('/api/reckon', 'reckon');
    comes(PAGE, 'page');
    expect(begun).toEqual(['reckon', 'reckon', 'page']);
  });

  test('what lies ready waits for nothing', () => {
    comes(PULL, 'pull');
    comes('/_next/static/chunks/a.js?v=1', 'script');
    comes('/api/instruments/stream?after=3', 'stream');
    expect(begun).toEqual(['pull', 'script', 'stream']);
  });

  test('whoever has gone away is not worked for, and takes no place', () => {
    const [first, , third] = ['a', 'b', 'c', 'd'].map((name) => comes(PAGE, name));
    third?.leaves();
    first?.answered();
    expect(begun).toEqual(['a', 'b', 'd']);
  });

  test('one that takes minutes keeps the next waiting for a moment only, and its end counts once', () => {
    jest.useFakeTimers();
    take = inTurn({ hold_ms: 60 });
    const [first, second] = ['a', 'b', 'c', 'd', 'e', 'f'].map((name) => comes(PAGE, name));
    jest.advanceTimersByTime(59);
    expect(begun).toEqual(['a', 'b']);
    jest.advanceTimersByTime(1);
    expect(begun).toEqual(['a', 'b', 'c', 'd']);
    jest.advanceTimersByTime(60);
    expect(begun).toEqual(['a', 'b', 'c', 'd', 'e', 'f']);
    first?.answered();
    second?.answered();
    for (const name of ['x', 'y', 'z']) comes(PAGE, name);
    expect(begun.slice(6)).toEqual([]);
    jest.advanceTimersByTime(60);
    expect(begun.slice(6)).toEqual(['x', 'y']);
  });
});
