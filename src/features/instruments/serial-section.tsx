'use client';

import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useState } from 'react';
import { hasSerial, openSerial, type SerialConnection } from '@/instruments/serial-instrument';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Notice, Section } from '@/interface/parts/screen';
import { sendLine, sentWords } from './send-line';

const RATES = ['1200', '2400', '4800', '9600', '19200', '38400', '57600', '115200'];
const SHOWN = 120;

/** A real instrument on a serial port of this machine, by the browser's own interface. */
export function SerialSection() {
  // Only the browser knows what it can do.
  const canSpeak = useMounted() && hasSerial();
  const [rate, setRate] = useState('9600');
  const [connection, setConnection] = useState<SerialConnection>();
  const [said, setSaid] = useState('');
  const connect = async () => {
    try {
      const opened = await openSerial(
        Number(rate),
        (line) =>
          void sendLine(line).then((sent) => setSaid(`${sentWords(sent)} The line was: ${line.slice(0, SHOWN)}`)),
        (words) => {
          setConnection(undefined);
          setSaid(words ? `The port was closed: ${words}` : 'The port is closed.');
        },
      );
      setConnection(opened);
      setSaid('Open. Each line of it is one reading.');
    } catch (thrown) {
      setSaid(thrown instanceof Error ? thrown.message : String(thrown));
    }
  };
  return (
    <Section title="Serial port">
      <Notice kind="plain">
        Not tried on hardware: what is here was tried with a stream that stands for a port. Each line of text must be
        one reading as docs/instruments.md has it.
      </Notice>
      {canSpeak ? (
        <div className={form.grid}>
          <NativeSelect
            label="Baud"
            data={RATES}
            value={rate}
            disabled={connection !== undefined}
            onChange={({ currentTarget }) => setRate(currentTarget.value)}
          />
          <div className={form.acts}>
            <Button onClick={() => void (connection ? connection.stop() : connect())}>
              {connection ? 'Close the port' : 'Choose a port'}
            </Button>
            <span className="soft" role="status">
              {said}
            </span>
          </div>
        </div>
      ) : (
        <p>This browser does not speak to serial ports. A small program beside the instrument can send its lines.</p>
      )}
    </Section>
  );
}
