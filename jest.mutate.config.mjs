// Only the tests that need neither a build nor a browser: the mutation runner takes one plain project.
import every from './jest.config.mjs';

const { displayName: _name, ...core } = every.projects[0];

// Of a sample, the tests of its floor alone.
const { SPANNER_MUTATE_TESTS: floor } = process.env;

const config = {
  ...core,
  // Beside other work a test of one second takes six: the first run must not end by that.
  testTimeout: 60_000,
  ...(floor && { testMatch: [`<rootDir>/test/${floor}/**/*.test.ts`] }),
  testPathIgnorePatterns: ['house\\.test'],
  testSequencer: '<rootDir>/test/mutation/short-first.cjs',
  moduleNameMapper: { ...core.moduleNameMapper, '^fast-check$': '<rootDir>/test/mutation/few-runs.cjs' },
};

export default config;
