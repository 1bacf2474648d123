const SLOW_GLOBALS = 'Array Error Float64Array Intl JSON Map Math Number Object RegExp Set String Symbol'.split(' ');

const shared = {
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@demo/(.*)$': '<rootDir>/demo/$1',
    // Server actions are called without a server: what they ask of it is counted.
    '^next/cache$': '<rootDir>/test/stubs/next-cache.ts',
    '^next/headers$': '<rootDir>/test/stubs/next-headers.ts',
  },
  testEnvironment: 'node',
  globalSetup: '<rootDir>/test/own-folder.cjs',
  // Tests run in a context of their own, in which every look at a global is a slow one; these are handed to each module.
  sandboxInjectedGlobals: SLOW_GLOBALS,
};

const config = {
  projects: [
    {
      ...shared,
      displayName: 'core',
      testMatch: [
        '<rootDir>/test/house.test.ts',
        '<rootDir>/test/{actions,core,reference,reckoner,db,features,instruments,interface,model,scripts}/**/*.test.ts',
      ],
    },
    // Needs a build: the real server is started, and killed.
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/test/server/**/*.test.ts'] },
  ],
};

export default config;
