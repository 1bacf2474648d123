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
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@demo/(.*)$': '<rootDir>/demo/$1' },
  testEnvironment: 'node',
};

const config = {
  projects: [
    {
      ...shared,
      displayName: 'core',
      testMatch: ['<rootDir>/test/{core,reference,reckoner,db,features,instruments,interface}/**/*.test.ts'],
    },
    // Needs a build: the real server is started, and killed.
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/test/server/**/*.test.ts'] },
  ],
};

export default config;
