import parse from 'joi-to-json';
import { buildFileSchema } from '@/features/record/build-file-schema';

/** The JSON Schema of the build file, as published in `docs/build-file.schema.json`. */
export const publishedSchema = (): object => ({
  $schema: 'https://json-schema.org/draft/2019-09/schema',
  title: 'Unhurried Spanner build file',
  description:
    'An engine, or one joint of it, with its leaves, plans, pulls and heat. Times are ISO 8601; quantities are SI with the unit in the name.',
  ...(parse(buildFileSchema, 'json-draft-2019-09') as object),
});
