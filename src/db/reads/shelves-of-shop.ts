import { USUAL_PRACTICE, type HousePractice } from '@/core/joint';
import type { Engine } from '@/model/engine/engine';
import { SHIPPED, overlaid, type Shelves } from '@/model/shelf/shelves';
import type { Shop } from '../shop';

const PRACTICE_KEY = 'house-practice';

/** The shop's practice, where nothing was chosen the usual one. */
export const shopPractice = (shop: Shop): HousePractice => ({
  ...USUAL_PRACTICE,
  ...(JSON.parse(shop.settings.get(PRACTICE_KEY) ?? '{}') as Partial<HousePractice>),
});

export const keepShopPractice = (shop: Shop, practice: HousePractice): void => shop.settings.set(PRACTICE_KEY, JSON.stringify(practice));

/** Everything on the shelves, with the practice of this engine where it differs from the shop's. */
export const shelvesOf = (shop: Shop, engine?: Engine): Shelves => ({
  films: overlaid(SHIPPED.film, shop.shelf.own('film')),
  grades: overlaid(SHIPPED.grade, shop.shelf.own('grade')),
  metals: overlaid(SHIPPED.metal, shop.shelf.own('metal')),
  threads: shop.shelf.own('thread'),
  wrenches: shop.wrenches.all(),
  practice: { ...shopPractice(shop), ...engine?.practice },
});
