'use server';

import { nanoid } from 'nanoid';
import { shopAction } from '@/server/shop-action';
import { parseBuildFile, textSchema } from './build-file-schema';
import { asCopy, readBack } from './read-back';

/** Reads a build file into this shop; where the engine already stands here, as a copy beside it. */
export const readBackAction = shopAction(textSchema, ({ text }, { shop }) => {
  const file = parseBuildFile(text);
  const copied = shop.engines.find(file.engine.id) !== undefined;
  const built = copied ? asCopy(file, () => nanoid(12)) : file;
  readBack(shop, built);
  return { href: `/engines/${built.engine.id}/record`, copied };
});
