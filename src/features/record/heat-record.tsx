'use client';

import type { CoolingReading, HeatCycle, HeatLog } from '@/model/heat/heat-log';
import { useFigures } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { seenWords, stoodWords } from '@/interface/words/seen-words';
import styles from './joint-record-page.module.css';

/** A recorder’s readings are many: the last of them are printed, and how many came before. */
const PRINTED = 4;
const MOST_RUNS = 60;

function Run({ cycle, readings }: { readonly cycle: HeatCycle; readonly readings: readonly CoolingReading[] }) {
  const { plain } = useFigures();
  const before = readings.length > PRINTED + 2 ? readings.length - PRINTED : 0;
  return (
    <li>
      Ran {fullTime(cycle.ranFrom)} to {fullTime(cycle.ranTo)}, highest {plain(cycle.highest_C)} °C, air{' '}
      {plain(cycle.ambient_C)} °C{cycle.who && `, ${cycle.who}`}.
      {before > 0 && ` ${before} readings at the head, and then:`}
      {readings
        .slice(before)
        .map((one) => ` Head ${plain(one.head_C)} °C at ${fullTime(one.at)}${one.who ? `, ${one.who}` : ''}.`)}
      {cycle.went && ` It went ${plain(cycle.went.value)} ${cycle.went.unit}.`}
      {cycle.stood && ` Left to cool ${stoodWords(cycle.stood)}.`}
      {cycle.series && ` Its temperatures were recorded, in ${cycle.series.length} points.`}
      {cycle.seen?.map((seen) => ` Seen: ${seenWords(seen)}.`)}
    </li>
  );
}

/** The runs of the engine as they are printed, with what its odometer read. */
export function HeatRecord({ heat }: { readonly heat: HeatLog }) {
  const { plain } = useFigures();
  if (heat.cycles.length === 0 && heat.meters.length === 0) return null;
  return (
    <section className={styles.round}>
      <h2>Heat</h2>
      <ul className="points">
        {heat.cycles.length > MOST_RUNS && <li>{heat.cycles.length - MOST_RUNS} runs before these.</li>}
        {heat.cycles.slice(-MOST_RUNS).map((cycle) => (
          <Run key={cycle.id} cycle={cycle} readings={heat.readings.filter(({ cycleId }) => cycleId === cycle.id)} />
        ))}
        {heat.meters.map(({ id, at, reads, unit, jump, who }) => (
          <li key={id}>
            {unit === 'h' ? 'Hour meter' : 'Odometer'} {plain(reads)} {unit} on {fullTime(at)}
            {jump && `, after it had come to ${plain(jump.from)} and went on from ${plain(jump.to)}`}
            {who && `, ${who}`}.
          </li>
        ))}
      </ul>
    </section>
  );
}
