// What takes hours and is run by hand: `KILLS=500 npm run soak`.
import every from './jest.config.mjs';

const { displayName: _name, ...core } = every.projects[0];

const config = { ...core, testMatch: ['<rootDir>/test/soak/**/*.test.ts'] };

export default config;
