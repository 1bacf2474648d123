import { USUAL_PRACTICE, type HousePractice } from '@/model/practice/house-practice';
import type { Engine } from '@/model/engine/engine';
import { BUILT_IN, overlaid, type Shelves } from '@/model/shelf/shelves';
import type { Shop } from '../shop';

const PRACTICE_KEY = 'house-practice';

/** The shop's practice, where nothing was chosen the usual one. */
export const shopPractice = (shop: Shop): HousePractice => ({
  ...USUAL_PRACTICE,
  ...(JSON.parse(shop.settings.get(PRACTICE_KEY) ?? '{}') as Partial<HousePractice>),
});

export const keepShopPractice = (shop: Shop, practice: HousePractice): void =>
  shop.settings.set(PRACTICE_KEY, JSON.stringify(practice));

/** Everything on the shelves, with the practice of this engine where it differs from the shop's. */
export const shelvesOf = (shop: Shop, engine?: Engine): Shelves => ({
  films: overlaid(BUILT_IN.film, shop.shelf.own('film')),
  grades: overlaid(BUILT_IN.grade, shop.shelf.own('grade')),
  metals: overlaid(BUILT_IN.metal, shop.shelf.own('metal')),
  threads: shop.shelf.own('thread'),
  wrenches: shop.wrenches.all(),
  practice: { ...shopPractice(shop), ...engine?.practice },
});
