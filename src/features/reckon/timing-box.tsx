'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';

/** The reckoner of timing, fetched when its fold is opened: what it reads figures with weighs on no sheet beside it. */
export const TimingBox = fetchedPart(() => import('./timing-reckoner').then((module) => module.TimingReckoner));
