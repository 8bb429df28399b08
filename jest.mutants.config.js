import config from './jest.config.js';

/** The tests of core, where a workspace is read from beside them: mutants stand in a copy, not where packages are linked to. */
const core = config.projects.find(({ displayName }) => displayName === 'core');
export default {
  ...core,
  rootDir: import.meta.dirname,
  setupFiles: ['<rootDir>/core/src/testing/few-chances.ts'],
  globals: { isLookingForMutants: true },
  // Where the tests are that are to notice: of the changed folders alone, or all that read what was changed.
  testMatch: (process.env.MUTANTS_TESTS ?? 'core/src').split(' ').map((place) => `<rootDir>/${place}/**/*.test.ts`),
  moduleNameMapper: {
    '^@brackenfell/(core|contract|demo|stand-ins)/(.*)$': '<rootDir>/$1/src/$2.ts',
    '^(d3-[a-z-]+)$': '<rootDir>/node_modules/$1/dist/$1.js',
  },
};
