// Stands in for fast-check while the code is spoilt: enough to notice a spoilt line, where ten thousand runs at each of
// some thousand spoilings would take days.
const real = require('../../node_modules/fast-check/lib/cjs/fast-check.js');

const ENOUGH = 400;
/** What counts how often a thing came about needs more: half of what is asked for. */
const fewer = (runs) => Math.min(runs, Math.max(ENOUGH, Math.ceil(runs / 2)));

const assert = (property, parameters) =>
  real.assert(property, { ...parameters, numRuns: fewer(parameters?.numRuns ?? 100) });

module.exports = { __esModule: true, ...real, assert, default: { ...real.default, assert } };
