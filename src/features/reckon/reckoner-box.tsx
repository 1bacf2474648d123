'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import type { QuickReckoner } from './quick-reckoner';

// What it reckons with comes when it is opened, and not with every page.
const Reckoner = dynamic(() => import('./quick-reckoner').then((module) => module.QuickReckoner), { ssr: false });

const Drawn = dynamic(() => import('./quick-reckoner').then((module) => module.QuickReckoner));

/** The quick reckoner where a page is drawn with it: a page that is drawn without does not fetch it. */
export const DrawnReckoner = (props: ComponentProps<typeof QuickReckoner>) => <Drawn {...props} />;

/** The quick reckoner, fetched when it is first looked at. */
export const ReckonerBox = (props: ComponentProps<typeof QuickReckoner>) => <Reckoner {...props} />;
