'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import type { WrenchForm } from './wrench-form';

const Drawn = dynamic(() => import('./wrench-form').then((module) => module.WrenchForm));

/** The form of a wrench, with its calendar: a page that is drawn without it does not fetch it. */
export const DrawnWrenchForm = (props: ComponentProps<typeof WrenchForm>) => <Drawn {...props} />;
