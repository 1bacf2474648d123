// One thread answers everything: what comes at once is let in a few at a time, and a pull goes before all of it.

/** Costs the thread next to nothing, or stays open for hours. */
const FREE = [/^\/_next\/static\//, /^\/api\/instruments\/stream$/];

/**
 * Each with how many of it may be under way. Pulls of several benches are written together. What waits for the
 * reckoner's own thread keeps no page waiting.
 */
const LANES = [
  { pattern: /^\/api\/tightenings\//, most: 16, goesFirst: true },
  { pattern: /^\/api\/reckon$/, most: 2, goesFirst: false },
  { pattern: /^/, most: 2, goesFirst: false },
];

/**
 * @param hold_ms so long does one keep the next waiting at most: a table that is read in, or a copy, takes minutes
 * @returns a function that takes an address, the response to it and the work to be done when its turn comes
 */
function inTurn({ hold_ms = 60 } = {}) {
  const lanes = LANES.map((lane) => ({ ...lane, under: 0, waiting: [] }));
  const isHeld = ({ goesFirst }) => !goesFirst && lanes.some((one) => one.goesFirst && one.under > 0);

  function begin(lane, { response, work }) {
    let isOver = false;
    const end = () => {
      if (isOver) return;
      isOver = true;
      clearTimeout(clock);
      lane.under--;
      letIn();
    };
    const clock = setTimeout(end, hold_ms);
    lane.under++;
    response.once('close', end);
    work();
  }

  function letIn() {
    for (const lane of lanes)
      while (lane.under < lane.most && !isHeld(lane)) {
        const next = lane.waiting.shift();
        if (!next) break;
        // Whoever has gone away in the meantime is not worked for.
        if (!next.response.destroyed) begin(lane, next);
      }
  }

  return (address, response, work) => {
    const [path] = address.split('?', 1);
    if (FREE.some((pattern) => pattern.test(path))) {
      work();
      return;
    }
    lanes.find(({ pattern }) => pattern.test(path)).waiting.push({ response, work });
    letIn();
  };
}

module.exports = { inTurn };
