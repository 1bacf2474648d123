// Reading, correcting and threads against general unit libraries on the same conversions, ratios in one run.
import jsQuantities from 'js-quantities';
import { unit as mathUnit } from 'mathjs';
import { Bench } from 'tinybench';
import { benchFits } from './bench-fits.mts';
import { benchMonteCarlo } from './bench-monte-carlo.mts';
import { usualBearingFace } from '@/core/fastener';
import { correct } from '@/core/joint';
import { readTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { convert } from '@/core/units';

const MS = 800;
const thread = threadNamed('3/8 BSF');
const fastener = { thread, muThread: 0.13, muHead: 0.13, bearing: usualBearingFace(thread) };
const today = { ...fastener, muThread: 0.085, muHead: 0.085, slippery: { muThread: 0.06, muHead: 0.06 } };

// What each library is given is a fresh figure every time, so that no cache answers for it.
let n = 0;
const figure = () => 20 + (n++ % 5000) / 100;

const tasks: readonly (readonly [name: string, run: () => unknown])[] = [
  ['read-torque “36.5 lb ft”', () => readTorque(`${figure()} lb ft`)],
  ['read-torque “5½ mkg, threads oiled”', () => readTorque('5½ mkg, threads oiled')],
  ['convert lbf·ft to N·m', () => convert(figure(), 'lbf·ft', 'N·m')],
  ['correct, oil to moly', () => correct(figure(), fastener, today)],
  ['thread “3/8 BSF”', () => threadNamed('3/8 BSF')],
  ['mathjs: unit(“36.5 lbf ft”).toNumber(“N m”)', () => mathUnit(`${figure()} lbf ft`).toNumber('N m')],
  ['js-quantities: Qty(“36.5 lbf*ft”).to(“N*m”)', () => jsQuantities(`${figure()} lbf*ft`).to('N*m').scalar],
];

const bench = new Bench({ time: MS, warmupTime: 200 });
for (const [name, run] of tasks) bench.add(name, run);
await bench.run();

const rates = new Map(
  bench.tasks.map((task) => [task.name, task.result.state === 'completed' ? task.result.throughput.mean : 0]),
);
const rivals = bench.tasks.slice(-2).map((task) => task.name);
const pad = (text: string, width: number) => text.padEnd(width);

console.log(`${pad('', 48)}${'a second'.padStart(12)}  ${'× mathjs'.padStart(10)}  ${'× js-quantities'.padStart(16)}`);
for (const [name, rate] of rates) {
  const ratios = rivals.map((rival) => (rate / (rates.get(rival) ?? 1)).toFixed(2));
  console.log(
    `${pad(name, 48)}${Math.round(rate).toLocaleString('en').padStart(12)}  ${(ratios[0] ?? '').padStart(10)}  ${(ratios[1] ?? '').padStart(16)}`,
  );
}

benchMonteCarlo();
benchFits();
