import type { HeadMetal } from '@/core/heat';

/** What a head or a block is made of, after its name: “Head iron”. */
export const METAL_WORDS: Readonly<Record<HeadMetal, string>> = {
  unsaid: 'of a metal that was not said',
  iron: 'iron',
  aluminium: 'aluminium',
};
