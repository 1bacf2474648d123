/* global process, globalThis */
// Loaded before the server of the journeys: it goes on to the next one's folder without being started anew.
process.on('message', (folder) => {
  process.env.SPANNER_DATA = folder;
  // A reading is handed on once; the next journey may give its own the same name.
  globalThis.spannerReadings?.seen.clear();
  process.send?.('there');
});
// Nobody is left to stop it.
process.on('disconnect', () => process.exit());
