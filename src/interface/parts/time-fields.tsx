'use client';

import dynamic from 'next/dynamic';
import { fetchedPart } from './fetched-part';
import styles from './time-fields.module.css';
import type { DayProps, TimeProps } from './time-pickers';
import { whenIdle } from './when-idle';

// Calendars weigh as much as all else on a form: a page comes alive without them, and each of them by itself.
const day = <div className={`field ${styles.space}`} />;
const dayAndTime = (
  <>
    {day}
    <div className={`field ${styles.space} ${styles.short}`} />
  </>
);

// Out of reach, that is said in their place and tried again: left to itself, the whole page would give way.
const FetchedDay = fetchedPart<DayProps>(() => import('./time-pickers').then((module) => module.DayField));
const FetchedTime = fetchedPart<TimeProps>(() => import('./time-pickers').then((module) => module.DayAndTimeFields));

const DrawnDay = dynamic<DayProps>(
  () =>
    import('./time-pickers').then(
      (module) => module.DayField,
      () => FetchedDay,
    ),
  { loading: () => day },
);
const DrawnTime = dynamic<TimeProps>(
  () =>
    import('./time-pickers').then(
      (module) => module.DayAndTimeFields,
      () => FetchedTime,
    ),
  { loading: () => dayAndTime },
);

/** Fetches them once the browser rests, so that what opens with them is there where the program is not. */
export const timeFieldsAhead = (): void => whenIdle(() => void import('./time-pickers').catch(() => undefined));

/** A day, typed or picked. */
export const DayField = (props: DayProps) => <DrawnDay {...props} />;

/** A day and an hour on the clock of the wall, side by side. */
export const DayAndTimeFields = (props: TimeProps) => <DrawnTime {...props} />;
