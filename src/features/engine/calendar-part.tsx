'use client';

import { useMounted } from '@mantine/hooks';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { calendarAddressAction } from './calendar-actions';

/** What is due, in the calendar of a phone: once as a file, or as a feed that follows. */
export function CalendarPart({ secret }: { readonly secret: string | null }) {
  const { act, pending, problem } = useAct();
  const mounted = useMounted();
  const change = (isOpen: boolean) =>
    act(
      () => calendarAddressAction({ isOpen }),
      () => {},
    );
  const isOnlyHere = mounted && ['localhost', '127.0.0.1'].includes(location.hostname);
  return (
    <Section title="In a calendar">
      <p>
        What has an hour goes into a calendar, with its window as the time of the event.{' '}
        <a href="/api/calendar" download>
          As a file (.ics)
        </a>
      </p>
      {secret !== null && (
        <p>
          A phone that subscribes to this address is told of changes; whoever has the address can read what is due:
          <br />
          <code className={form.code} data-testid="calendar-address">
            {`${mounted ? location.origin : ''}/api/calendar/${secret}.ics`}
          </code>
        </p>
      )}
      {secret !== null && isOnlyHere && (
        <p className="soft">
          It is this machine’s own name: a phone reaches it where the program is started for the network, and by the
          name or number that the machine has there.
        </p>
      )}
      {problem && <p role="alert">{problem.message}</p>}
      <p className={form.acts}>
        <Button disabled={pending} onClick={() => change(true)}>
          {secret === null ? 'Make an address for a phone' : 'Another address: the old one stops'}
        </Button>
        {secret !== null && (
          <Button disabled={pending} onClick={() => change(false)}>
            No address any more
          </Button>
        )}
      </p>
    </Section>
  );
}
