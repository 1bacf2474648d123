'use server';

import { nanoid } from 'nanoid';
import { plainShopAction, shopQuestion } from '@/server/shop-action';
import { parseBuildFile, textSchema } from './build-file-schema';
import { previewBuild } from './build-preview';
import { readBack } from './read-back';

const newId = () => nanoid(12);

/** What reading a build file in would do here. Nothing is written. */
export const previewBuildAction = shopQuestion(textSchema, ({ text }, { shop, now }) =>
  previewBuild(shop, parseBuildFile(text), now, newId),
);

/** Reads a build file into this shop; where the engine already stands here, as a copy beside it. */
export const readBackAction = plainShopAction(textSchema, ({ text }, { shop, now }) => {
  const { file, copied } = readBack(shop, parseBuildFile(text).file, now, newId);
  return { href: `/engines/${file.engine.id}/record`, copied };
});
