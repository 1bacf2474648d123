// Reading, correcting and threads against general unit libraries on the same conversions, ratios in one run.
import jsQuantities from 'js-quantities';
import { unit as mathUnit } from 'mathjs';
import { benchFits } from './bench-fits.mts';
import { benchMonteCarlo } from './bench-monte-carlo.mts';
import { usualBearingFace } from '@/core/fastener';
import { correct } from '@/core/joint';
import { readAfresh, readTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { convert } from '@/core/units';

const thread = threadNamed('3/8 BSF');
const fastener = { thread, muThread: 0.13, muHead: 0.13, bearing: usualBearingFace(thread) };
const today = { ...fastener, muThread: 0.085, muHead: 0.085, slippery: { muThread: 0.06, muHead: 0.06 } };

// What each is given is a fresh figure every time, so that no cache answers for it.
let n = 0;
const figure = () => 20 + (n++ % 5000) / 100;
const whole = () => 4 + (n++ % 90);

const RIVALS = ['mathjs: unit(“36.5 lbf ft”).toNumber(“N m”)', 'js-quantities: Qty(“36.5 lbf*ft”).to(“N*m”)'] as const;
const plain = () => `${figure()} lb ft`;
const withWords = () => `${whole()}½ mkg, threads oiled`;
const inTwoUnits = () => `${whole()}-99 lb. ft. (5.0-5.5 mkg), oiled`;
const tasks: Readonly<Record<string, () => unknown>> = {
  'read-torque “36.5 lb ft”': () => readTorque(plain()),
  'read-torque “5½ mkg, threads oiled”': () => readTorque(withWords()),
  'read-torque “36-40 lb. ft. (5.0-5.5 mkg), oiled”': () => readTorque(inTwoUnits()),
  // Such texts are read by the shape of one before; this is what the first of them takes.
  'the first of its kind: “36.5 lb ft”': () => readAfresh(plain()),
  'the first of its kind: “5½ mkg, threads oiled”': () => readAfresh(withWords()),
  'the first of its kind: “36-40 lb. ft. (5.0-5.5 …': () => readAfresh(inTwoUnits()),
  'convert lbf·ft to N·m': () => convert(figure(), 'lbf·ft', 'N·m'),
  'correct, oil to moly': () => correct(figure(), fastener, today),
  'thread “3/8 BSF”': () => threadNamed('3/8 BSF'),
  [RIVALS[0]]: () => mathUnit(`${figure()} lbf ft`).toNumber('N m'),
  [RIVALS[1]]: () => jsQuantities(`${figure()} lbf*ft`).to('N*m').scalar,
};

const BURST_MS = 2.5;
const ROUNDS = 300;

/** What a call takes, µs, in a burst. */
function burst(run: () => unknown): number {
  const from = performance.now();
  let calls = 0;
  let spent = 0;
  while (spent < BURST_MS) {
    for (let i = 0; i < 10; i++) run();
    calls += 10;
    spent = performance.now() - from;
  }
  return (1000 * spent) / calls;
}

// They take turns in short bursts, and a tenth of the bursts were quicker than what is told: whatever else the machine
// does then falls on all of them alike.
const bursts = new Map<string, number[]>(Object.keys(tasks).map((name) => [name, []]));
for (let round = 0; round < ROUNDS; round++)
  for (const [name, run] of Object.entries(tasks)) bursts.get(name)?.push(burst(run));
const taken = new Map([...bursts].map(([name, all]) => [name, all.sort((a, b) => a - b)[ROUNDS / 10] ?? Infinity]));

console.log(`${''.padEnd(52)}${'µs'.padStart(8)}  ${'× mathjs'.padStart(10)}  ${'× js-quantities'.padStart(16)}`);
for (const [name, us] of taken) {
  const [first, second] = RIVALS.map((rival) => ((taken.get(rival) ?? 0) / us).toFixed(2));
  console.log(
    `${name.padEnd(52)}${us.toFixed(us < 1 ? 3 : 1).padStart(8)}  ${(first ?? '').padStart(10)}  ${(second ?? '').padStart(16)}`,
  );
}

benchMonteCarlo();
benchFits();
