// The reckoner off the thread that answers the bench: whatever is asked of it, a pull does not wait.
const { parentPort } = require('node:worker_threads');
const { register } = require('tsx/cjs/api');

register();
const { reckon } = require('../src/reckoner/reckon.ts');

parentPort.on('message', ({ requests }) => parentPort.postMessage({ answers: requests.map((one) => reckon(one)) }));
