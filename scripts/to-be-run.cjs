// Which files' tests are to be run, of what was changed since all of them passed. CommonJS, so that a test can ask it.

/** What only tells of the program: the tests that read files look at it. */
const TOLD = /^docs\/|\.(md|css)$/;
const CODE = /\.(ts|tsx)$/;
const TEST = /^test\/(?!browser\/|server\/|soak\/).*\.test\.ts$/;
/** A test that starts a program of its own, or names a place of the project, depends on more than it imports. */
const LOOKS_ROUND =
  /\b(spawn|spawnSync|execFile|execFileSync|fork)\(|\bMIGRATIONS_FOLDER\b|['"`](src|docs|scripts|demo|README\.md|CONTRIBUTING\.md)['"`/]/;

/**
 * @param before digests of the files when the suite last passed, by name; undefined where that is not known
 * @param now the same of today
 * @param read gives a file's text
 * @returns `isAll`, or the files of which the tests are run that import them, and the words for it
 */
exports.toBeRun = function toBeRun(before, now, read) {
  if (!before || !now) return { isAll: true, files: [], why: 'The whole suite: it is not known what it passed on.' };
  const names = new Set([...Object.keys(before), ...Object.keys(now)]);
  const changed = [...names].filter((name) => before[name] !== now[name]);
  // What is neither code nor told may be read by anything: a migration, a fixture, a setting, a package.
  const other = changed.find((name) => !TOLD.test(name) && !CODE.test(name));
  if (other) return { isAll: true, files: [], why: `The whole suite: ${other} is another.` };
  const looks = Object.keys(now).filter((name) => TEST.test(name) && LOOKS_ROUND.test(read(name)));
  const files = [...new Set([...changed.filter((name) => CODE.test(name) && name in now), ...looks])];
  return { isAll: false, files, why: `${changed.length} files are others than when all passed.` };
};
