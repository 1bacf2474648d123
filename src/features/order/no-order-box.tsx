'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import type { NoOrderScreen } from './no-order-screen';

const Drawn = dynamic(() => import('./no-order-screen').then((module) => module.NoOrderScreen));

/** An engine without an order: the lines to start from are not fetched by one that has its own. */
export const DrawnNoOrder = (props: ComponentProps<typeof NoOrderScreen>) => <Drawn {...props} />;
