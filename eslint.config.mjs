import coreWebVitals from 'eslint-config-next/core-web-vitals';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

const config = [
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      'next-env.d.ts',
      'data/**',
      'test-results/**',
      'playwright-report/**',
      'browser-results.json',
      'coverage/**',
      '.stryker-tmp/**',
    ],
  },
  // Only these floors have components and hooks: in the others their rules would look for what cannot be there.
  ...coreWebVitals.map((config) => ({ ...config, files: ['src/{app,features,interface}/**', 'test/interface/**'] })),
  // Rules that need types stand in .oxlintrc.json, whose checker reads them in a tenth of the time.
  ...tseslint.configs.recommended.map((config) => ({ ...config, files: ['**/*.ts', '**/*.tsx'] })),
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'max-lines-per-function': ['error', { max: 130, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/core/**/*.ts', 'src/reckoner/**/*.ts', 'src/db/**/*.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['test/**/*.ts'],
    rules: {
      'max-lines-per-function': 'off',
    },
  },
  prettier,
];

export default config;
