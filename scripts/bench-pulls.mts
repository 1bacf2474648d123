// How many pulls a second are taken, each answered once it is on disk: `npm run build`, then `npm run bench:pulls`.
import { closeSync, fsyncSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop } from '@/db/shop';
import { jointInputs } from '@/db/reads/joint-inputs';
import { planOfJoint } from '@/model/joint/round-plan';
import { loadDemonstration } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';
import { buildIfStale } from './build-if-stale.mjs';
import { served } from './served.mts';

buildIfStale();

const CLIENTS = [1, 10, 50];
const SECONDS = 6;
const JOINT = 'demo-f-joint-head';
/** Enough that no client comes to the end of its own. */
const ROUNDS = 60;

const folder = mkdtempSync(join(tmpdir(), 'spanner-pulls-'));
const file = join(folder, 'demonstration.sqlite');
const shop = openShop(file);
loadDemonstration(shop, demonstrationYard, new Date().toISOString());
const joint = shop.joints.find(JOINT);
if (!joint) throw new Error('the yard has no such joint');
const plan = planOfJoint(jointInputs(shop, joint, Date.now()));
for (const clients of CLIENTS)
  for (let client = 0; client < clients; client++)
    for (let round = 0; round < ROUNDS; round++)
      shop.tightenings.start({
        id: `bench-${clients}-${client}-${round}`,
        jointId: joint.id,
        purpose: 'final',
        plan,
        startedAt: new Date().toISOString(),
      });
shop.close();

const port = Number(process.env.PORT ?? 4633);
const { address, stop } = await served(folder, port, { SPANNER_OPEN: 'demonstration' });

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

/** A line sent as the face sends it; how long until it was answered. */
const send = (path: string, line: object) =>
  new Promise<number>((resolve, reject) => {
    const body = JSON.stringify(line);
    const from = performance.now();
    const sent = request(
      {
        host: '127.0.0.1',
        port,
        agent,
        path,
        method: 'POST',
        headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) },
      },
      (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += String(part)));
        answer.on('end', () =>
          answer.statusCode === 200
            ? resolve(performance.now() - from)
            : reject(new Error(`${answer.statusCode}: ${text}`)),
        );
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });

/** One bench: pull after pull of its own rounds, each sent once the one before it was answered. */
async function atOneBench(clients: number, client: number, until: number): Promise<readonly number[]> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const id = `bench-${clients}-${client}-${round}`;
    for (const [step, { kind }] of plan.steps.entries()) {
      if (performance.now() > until) return times;
      const line = { id: `${id}-${step}`, kind, step, age_ms: 0, ...(kind === 'pull' && { outcome: 'pulled' }) };
      times.push(await send(`/api/tightenings/${id}/events`, line));
    }
  }
  throw new Error('the rounds came to their end');
}

/** How many times a second the disk itself takes one short write and says that it is there. */
function rawPerSecond(): number {
  const opened = openSync(join(folder, 'raw'), 'w');
  const from = performance.now();
  let writes = 0;
  for (; performance.now() - from < 2000; writes++) {
    writeSync(opened, 'x'.repeat(4096));
    fsyncSync(opened);
  }
  closeSync(opened);
  return writes / ((performance.now() - from) / 1000);
}

try {
  await fetch(`${address}/api/tightenings/bench-1-0-0/events`);
  console.log('benches   pulls a second   p50 ms   p99 ms   writes a second of the disk itself');
  for (const clients of CLIENTS) {
    const raw = rawPerSecond();
    const until = performance.now() + SECONDS * 1000;
    const times = (
      await Promise.all(Array.from({ length: clients }, (_, client) => atOneBench(clients, client, until)))
    )
      .flat()
      .sort((a, b) => a - b);
    const at = (share: number) => (times[Math.floor(times.length * share)] ?? 0).toFixed(1);
    console.log(
      `${String(clients).padStart(7)}${(times.length / SECONDS).toFixed(0).padStart(17)}${at(0.5).padStart(9)}${at(0.99).padStart(9)}${raw.toFixed(0).padStart(20)}`,
    );
  }
} finally {
  agent.destroy();
  stop();
  rmSync(folder, { recursive: true, force: true });
}
