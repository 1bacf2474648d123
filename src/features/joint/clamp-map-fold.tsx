'use client';

import { Disclosure } from '@/interface/parts/disclosure';
import { fetchedPart } from '@/interface/parts/fetched-part';
import type { ClampMapProps } from './clamp-map-body';

/** With the reckoning of a map, its drawing and its search: fetched once somebody looks. */
const Body = fetchedPart(() => import('./clamp-map-body').then(({ ClampMapBody }) => ClampMapBody));

/** What the other nuts are doing: in one line, and opened whole. */
export const ClampMapFold = (props: ClampMapProps) => (
  <Disclosure
    title="What the other nuts are doing"
    line={props.setting.joint.detail.clampMap ? 'drawn, by a model' : 'not looked at'}
  >
    <Body {...props} />
  </Disclosure>
);
