'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import type { BuildFile } from './build-file';
import { buildFileSchema } from './build-file-schema';
import { asCopy, readBack } from './read-back';

const MAX_CHARACTERS = 50_000_000;
const textSchema = Joi.object<{ text: string }>({ text: Joi.string().max(MAX_CHARACTERS).required() });

function parse(text: string): BuildFile {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    throw new DomainError('bad-json', 'The file is not JSON, so it is no build file. Nothing was changed.');
  }
  const checked = buildFileSchema.validate(body, { stripUnknown: true });
  if (checked.error)
    throw new DomainError(
      'bad-field',
      `The build file cannot be read: ${checked.error.message.replace(/"/g, '')}. Nothing was changed.`,
    );
  return checked.value;
}

/** Reads a build file into this shop; where the engine already stands here, as a copy beside it. */
export async function readBackAction(input: unknown) {
  return runAction(textSchema, input, async ({ text }) => {
    const shop = await currentShop();
    const file = parse(text);
    const copied = shop.engines.find(file.engine.id) !== undefined;
    const built = copied ? asCopy(file, () => nanoid(12)) : file;
    readBack(shop, built);
    revalidatePath('/', 'layout');
    return { href: `/engines/${built.engine.id}/record`, copied };
  });
}
