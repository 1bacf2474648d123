'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';

/** A joint by the standard figure, fetched when its fold is opened: it reckons strengths that no entry asks for. */
export const StandardJointBox = fetchedPart(() =>
  import('./standard-joint-form').then((module) => module.StandardJointForm),
);
