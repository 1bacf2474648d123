/** What may go wrong on the way, to see what whoever listens makes of it. */
export const FAILURES = {
  none: 'Nothing goes wrong',
  'drop-out': 'Falls silent',
  repeat: 'Sends it twice',
  'wrong-unit': 'Is set to a unit that is none of its own',
  'over-range': 'Goes past the end of its scale',
  late: 'Sends it a minute late',
} as const;
export type Failure = keyof typeof FAILURES;

const LATE_MS = 60_000;

interface Sent {
  readonly kind: string;
  readonly unit: string;
  readonly at: string;
  readonly over?: true;
}

/** What goes over the wire of a reading: with a failure it may be something that no door takes. */
export type SentAs<Reading extends Sent> = Omit<Reading, 'unit'> & { readonly unit: string };

/** Readings as an instrument sends them with which something is wrong. */
export function sentWith<Reading extends Sent>(
  failure: Failure,
  readings: readonly Reading[],
): readonly SentAs<Reading>[] {
  if (failure === 'drop-out') return [];
  const spoilt = readings.map((reading) => ({
    ...reading,
    // A wrench that shows a length, a gauge that shows a torque.
    ...(failure === 'wrong-unit' && { unit: reading.kind === 'torque-wrench' ? 'mm' : 'N·m' }),
    ...(failure === 'over-range' && { over: true as const }),
    ...(failure === 'late' && { at: new Date(Date.parse(reading.at) - LATE_MS).toISOString() }),
  }));
  return failure === 'repeat' ? spoilt.flatMap((reading) => [reading, reading]) : spoilt;
}
