import type { StretchState } from '@/core/fastener';

/** How each state of a bolt is said, its sign by shape, and whether it stops the work. */
export const STRETCH_WORDS: Readonly<
  Record<StretchState, { readonly sign: string; readonly words: string; readonly kind: 'wait' | 'done' | 'stop' }>
> = {
  'free-length-wanted': { sign: '○', words: 'free length to be read', kind: 'wait' },
  'to-pull': { sign: '○', words: 'to be pulled', kind: 'wait' },
  short: { sign: '◔', words: 'short of the stretch: pull on, below the ceiling', kind: 'wait' },
  inside: { sign: '●', words: 'inside', kind: 'done' },
  over: { sign: '▲', words: 'past the stretch: slacken, read its free length, and judge it', kind: 'stop' },
  'ceiling-without-stretch': {
    sign: '▲',
    words: 'at the ceiling without the stretch: stop and find out why (dry or damaged thread, bottoming, wrong zero)',
    kind: 'stop',
  },
  'past-ceiling': {
    sign: '▲',
    words: 'past the ceiling, though its stretch is right: stop and find out why (dry or damaged thread, wrong zero)',
    kind: 'stop',
  },
  'stretch-without-torque': {
    sign: '▲',
    words: 'the stretch without the torque: stop and find out why (yielding, soft seat, wrong zero)',
    kind: 'stop',
  },
  grown: { sign: '▲', words: 'has grown: scrap. Of another in its place read the length as such', kind: 'stop' },
};
