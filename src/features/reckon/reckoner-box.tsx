'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import type { QuickReckoner } from './quick-reckoner';

type Props = ComponentProps<typeof QuickReckoner>;

// What it reckons with comes when it is opened, and not with every page.
const Reckoner = fetchedPart(() => import('./quick-reckoner').then((module) => module.QuickReckoner));

const Drawn = dynamic(() => import('./quick-reckoner').then((module) => module.QuickReckoner));

/** The quick reckoner where a page is drawn with it: a page that is drawn without does not fetch it. */
export const DrawnReckoner = sentInColumns<Props>((props) => <Drawn {...props} />);

/** The quick reckoner, fetched when it is first looked at. */
export const ReckonerBox = sentInColumns<Props>((props) => <Reckoner {...props} />);
