'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';

/** What changes the order is fetched when its fold is opened: lists to choose from, and dragging, weigh on no sheet. */
export const StepForm = fetchedPart(() => import('./step-form').then((module) => module.StepForm), {
  isTypedInto: true,
});
export const SortList = fetchedPart(() => import('./sort-list').then((module) => module.SortList));
