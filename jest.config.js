const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      target: 'es2022',
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
    sourceMaps: 'inline',
  },
];

/** One Jest project a workspace. The server's tests need a database: run them by `npm test -- unit`. */
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${import.meta.dirname}/${name}`,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.tsx?$': swc },
  ...extra,
});

export default {
  projects: ['core', 'contract', 'demo', 'server', 'web'].map((name) => project(name)),
  maxWorkers: 2,
  testTimeout: 90_000,
};
