'use client';

import '@mantine/core/styles/Popover.css';
import '@mantine/core/styles/SimpleGrid.css';
import '@mantine/dates/styles.css';
import { DateInput, TimePicker } from '@mantine/dates';
import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import { useState } from 'react';
import field from '../theme/field.module.css';
import form from './form.module.css';
import { useAlive } from './hydration-gate';
import styles from './time-pickers.module.css';

dayjs.extend(customParseFormat);

const SHOWN = 'D MMM YYYY';
// With slashes the day and the month change places from one country to the next: those are not guessed at.
const READ = [SHOWN, 'D MMMM YYYY', 'YYYY-MM-DD', 'D.M.YYYY', 'D MMM YY', 'D MMM', 'D MMMM'];

/** A day as it may be typed, as `2026-11-27`; null where it cannot be read. */
const dayTyped = (text: string): string | null => {
  const read = dayjs(text.trim(), READ, true);
  return read.isValid() ? read.format('YYYY-MM-DD') : null;
};

export interface DayProps {
  readonly label: string;
  /** `2026-11-27`, or empty. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: React.ReactNode;
  /** Whether it may be left empty. */
  readonly clearable?: boolean;
}

const classNames = { label: field.label, description: field.description, error: field.error, input: field.input };

/**
 * A day, typed or picked; written with the name of its month, which no two countries read otherwise. What cannot be
 * read is told, and the day before it stands.
 */
export function DayField({ label, value, onChange, error, clearable = false }: DayProps) {
  const [unread, setUnread] = useState<string>();
  // It comes alive after the form that it stands in, and by itself.
  const alive = useAlive();
  return (
    <DateInput
      label={label}
      disabled={!alive}
      value={value === '' ? null : value}
      valueFormat={SHOWN}
      dateParser={dayTyped}
      onChange={(day) => {
        setUnread(undefined);
        onChange(day ?? '');
      }}
      onBlur={({ currentTarget: { value: text } }) =>
        setUnread(text.trim() !== '' && dayTyped(text) === null ? text : undefined)
      }
      error={
        error ?? (unread && `“${unread}” is no day that can be read, such as 3 Mar 2026; the day before it stands.`)
      }
      clearable={clearable}
      clearButtonProps={{ 'aria-label': `Clear ${label}` }}
      firstDayOfWeek={1}
      highlightToday
      hideOutsideDates
      weekendDays={[]}
      popoverProps={{ shadow: 'none', classNames: { dropdown: styles.dropdown } }}
      classNames={{ ...classNames, day: styles.day, calendarHeaderControl: styles.control }}
      nextLabel="The month after"
      previousLabel="The month before"
    />
  );
}

export interface TimeProps extends DayProps {
  /** `2026-11-27T14:20` */
  readonly value: string;
}

/** A day and an hour on the clock of the wall, side by side. */
export function DayAndTimeFields({ label, value, onChange, error }: TimeProps) {
  const [day = '', time = ''] = value.split('T');
  const alive = useAlive();
  return (
    <>
      <DayField label={label} value={day} onChange={(next) => onChange(`${next}T${time}`)} error={error} />
      <TimePicker
        className={form.short}
        label={`${label}, hour`}
        disabled={!alive}
        value={time}
        onChange={(next) => onChange(`${day}T${next.slice(0, 5)}`)}
        hoursInputLabel={`${label}, hours`}
        minutesInputLabel={`${label}, minutes`}
        classNames={{ ...classNames, field: styles.part }}
      />
    </>
  );
}
