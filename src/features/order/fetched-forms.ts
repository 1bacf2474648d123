'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';

/** What changes the order is fetched when its fold is opened: choosing among many, and dragging, are no weight of its sheet. */
export const StepForm = fetchedPart(() => import('./step-form').then((module) => module.StepForm));
export const SortList = fetchedPart(() => import('./sort-list').then((module) => module.SortList));
