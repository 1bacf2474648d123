// Spoils the code a little at a time and sees whether a test notices. Slow, so that it is run by folder and not in CI:
//   npm run mutate -- --mutate 'src/core/tightening/**/*.ts'
const config = {
  testRunner: 'jest',
  // A sample names its tests itself; to look for those that reach a file takes seconds at every spoiling.
  jest: { configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: !process.env.SPANNER_MUTATE_TESTS },
  coverageAnalysis: 'perTest',
  // What runs once as a module loads would load every test file anew: tables and forms have tests row by row instead.
  ignoreStatic: true,
  mutate: ['src/{core,model,db,server}/**/*.ts', 'src/features/*/{*actions,schema,*-schema}.ts'],
  // Words of a message may change without a test: what they are thrown for may not.
  mutator: { excludedMutations: ['StringLiteral'] },
  // The others say nothing until the end, which may be hours away.
  reporters: ['progress-append-only', 'clear-text', 'html', 'json'],
  htmlReporter: { fileName: 'test-results/mutation/index.html' },
  jsonReporter: { fileName: 'test-results/mutation/mutation.json' },
  ignorePatterns: ['.next', 'data', 'docs/screenshots', 'test-results'],
  concurrency: 2,
  timeoutMS: 20_000,
  // All tests of the core, with what they cover noted.
  dryRunTimeoutMinutes: 40,
};

export default config;
