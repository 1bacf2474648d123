// The reckoner off the thread that answers the bench: whatever is asked of it, a pull does not wait.
const { setPriority } = require('node:os');
const { parentPort } = require('node:worker_threads');
const { register } = require('tsx/cjs/api');

register();
const { reckon } = require('../src/reckoner/reckon.ts');

// Only once it is read in: held back before, a busy machine took longer for that than a request may take.
// On Linux this is of this thread alone; elsewhere it would hold back the server too.
if (process.platform === 'linux') setPriority(0, 10);

parentPort.postMessage('ready');
parentPort.on('message', ({ requests }) => parentPort.postMessage({ answers: requests.map((one) => reckon(one)) }));
