// Only the tests that need neither a build nor a browser: the mutation runner takes one plain project.
import every from './jest.config.mjs';

const { displayName: _name, ...core } = every.projects[0];

const config = {
  ...core,
  testPathIgnorePatterns: ['house\\.test'],
  moduleNameMapper: { ...core.moduleNameMapper, '^fast-check$': '<rootDir>/test/mutation/few-runs.cjs' },
};

export default config;
