// Serves the shop on this machine alone: `node scripts/serve.mjs [--demonstration]`.
import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { buildIfStale } from './build-if-stale.mjs';
import { installed } from './installed.mjs';

const demonstration = process.argv.includes('--demonstration');
const port = Number(process.env.PORT ?? 4620);
if (!Number.isInteger(port) || port < 1 || port > 65_535) {
  console.error(`PORT=${process.env.PORT} is no port: give a number from 1 to 65535.`);
  process.exit(1);
}
const host = process.env.SPANNER_HOST ?? '127.0.0.1';
const address = `http://${host === '0.0.0.0' || host === '::' ? 'localhost' : host}:${port}`;

const isFree = () =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => resolve(error.code));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

const free = await isFree();
if (free !== true) {
  console.error(
    free === 'EADDRINUSE'
      ? `Port ${port} is in use; perhaps this is running already at ${address}. Close that, or choose another port: PORT=${port + 1} npm ${demonstration ? 'run demo' : 'start'}`
      : `Port ${port} on ${host} cannot be used (${free}). Choose another: PORT=4620 npm ${demonstration ? 'run demo' : 'start'}`,
  );
  process.exit(1);
}

// The compiler has one core, and asks nothing of the build; the build has the other.
const { compiling } = await installed({ toServe: true });
buildIfStale();
if (!(await compiling)) process.exit(1);

const env = {
  ...process.env,
  NODE_ENV: 'production',
  NEXT_TELEMETRY_DISABLED: '1',
  ...(demonstration && { SPANNER_OPEN: 'demonstration' }),
};
if (demonstration) {
  const load = spawnSync(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'scripts/load-demonstration.ts', '--if-missing'],
    {
      stdio: ['ignore', 2, 2],
      env,
    },
  );
  if (load.status !== 0) process.exit(load.status ?? 1);
}

const server = spawn(process.execPath, ['scripts/server.mjs'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...env, PORT: String(port), SPANNER_HOST: host },
});
// Stopped by whatever means a person has, it closes its files first; a closed terminal is one of them.
let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    stopping = true;
    server.kill('SIGTERM');
  });
server.on('exit', (code) => process.exit(stopping ? 0 : (code ?? 1)));

const answers = async () => {
  try {
    return (await fetch(address, { signal: AbortSignal.timeout(5000) })).status < 500;
  } catch {
    return false;
  }
};
for (let tries = 0; tries < 240 && !(await answers()); tries++)
  await new Promise((resolve) => setTimeout(resolve, 250));
console.log(`Unhurried Spanner: ${address}`);
if (!['127.0.0.1', 'localhost', '::1'].includes(host))
  console.log(
    `It listens on ${host}: whoever reaches this machine over the network can read, write and take along the whole shop. There is no pass-phrase yet. Without SPANNER_HOST it listens to this machine alone.`,
  );
