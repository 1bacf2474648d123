// Only the tests that need neither a build nor a browser: the mutation runner takes one plain project.
import config from './jest.config.mjs';

const { displayName: _name, ...core } = config.projects[0];

export default { ...core, testPathIgnorePatterns: ['house\\.test'] };
