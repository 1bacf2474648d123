'use client';

import { TextInput } from '@mantine/core';
import dynamic from 'next/dynamic';
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

/** The browser’s own field, where what draws a better one is out of reach: a time that is sent has to be seen. */
const plain = (type: 'date' | 'datetime-local') =>
  function PlainField({ label, value, onChange, error }: DayProps) {
    return (
      <TextInput
        type={type}
        label={label}
        value={value}
        error={error}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
    );
  };
const PlainDay = plain('date');
const PlainTime = plain('datetime-local');

const DrawnDay = dynamic<DayProps>(
  () =>
    import('./time-pickers').then(
      (module) => module.DayField,
      () => PlainDay,
    ),
  { loading: () => day },
);
const DrawnTime = dynamic<TimeProps>(
  () =>
    import('./time-pickers').then(
      (module) => module.DayAndTimeFields,
      () => PlainTime,
    ),
  { loading: () => dayAndTime },
);

/** Fetches them once the browser rests, so that what opens with them is there where the program is not. */
export const timeFieldsAhead = (): void => whenIdle(() => void import('./time-pickers').catch(() => undefined));

/** A day, typed or picked. */
export const DayField = (props: DayProps) => <DrawnDay {...props} />;

/** A day and an hour on the clock of the wall, side by side. */
export const DayAndTimeFields = (props: TimeProps) => <DrawnTime {...props} />;
