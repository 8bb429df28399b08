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
  // Generous: a shared machine can be ten times slower than itself, and no test is about speed.
  testTimeout: 90_000,
  transform: { '\\.tsx?$': swc },
  // The d3 modules are .mjs, which jest never transforms: their plain scripts are read.
  moduleNameMapper: { '^(d3-[a-z-]+)$': '<rootDir>/../node_modules/$1/dist/$1.js' },
  ...extra,
});

const projects = ['core', 'contract', 'demo', 'server'].map((name) => project(name));
const web = project('web', {
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  setupFiles: [`${import.meta.dirname}/web/src/testing/browser-globals.ts`],
});
const scripts = project('scripts', { testMatch: ['<rootDir>/*.test.ts'] });
export default { projects: [...projects, web, scripts], maxWorkers: 2 };
