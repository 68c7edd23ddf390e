const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'es6' },
    },
  ],
};
const project = (displayName, roots, more = {}) => ({
  displayName,
  roots,
  transform,
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testEnvironment: '<rootDir>/bin/lib/fastEnvironment.cjs',
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/jest.setup.js'],
  ...more,
});

export default {
  testSequencer: '<rootDir>/bin/lib/longestFirst.mjs',
  projects: [
    project(
      'units',
      [
        'core/src',
        'contract/src',
        'probe/src',
        'study/src',
        'draw/src',
        'cli/src',
        'web/src',
        'benchmarks',
      ].map((d) => `<rootDir>/${d}`),
    ),
    project('server', ['<rootDir>/server/src']),
    project('browser', ['<rootDir>/e2e']),
  ],
};
