import { Stryker } from '@stryker-mutator/core';
import { statSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * Changes core line by line and looks whether a test notices: `npm run mutants -- core/src/gap core/src/torque/settle-turn.ts`.
 * Prints what nobody noticed and the score. Only the tests beside the code are asked, which is the stricter question and by
 * far the quicker; `--tests=core/src/kinds` asks others too, `--related` all that read it. What is worked out once, while a file is loaded, is changed only with
 * `--static`: each such change asks every test, in minutes instead of seconds. Not part of the tests: a folder takes minutes.
 */
const places = process.argv
  .slice(2)
  .filter((word) => !word.startsWith('--'))
  .map((place) => place.replace(/\/+$/, ''));
const isStatic = process.argv.includes('--static');
const isRelated = process.argv.includes('--related');
if (places.length === 0 || places.some((place) => !place.startsWith('core/src/'))) {
  console.error('Say which folders or files of core/src: npm run mutants -- core/src/gap');
  process.exit(1);
}
const mutate = places.map((place) => (statSync(place).isDirectory() ? `${place}/**/*.ts` : place));
const others = process.argv.flatMap((word) => /^--tests=(.+)$/.exec(word)?.[1]?.split(',') ?? []);
if (!isRelated)
  process.env.MUTANTS_TESTS = [
    ...new Set([...places.map((place) => (statSync(place).isDirectory() ? place : dirname(place))), ...others]),
  ].join(' ');
const results = await new Stryker({
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  // Only what core's tests read is copied: the rest would be minutes of copying.
  ignorePatterns: ['server', 'web', 'e2e', 'bench', 'scripts', 'dist', 'test-results', '.brackenfell', '*.tsbuildinfo'],
  mutate: [...mutate, '!core/src/**/*.test.ts', '!core/src/testing/**'],
  jest: { projectType: 'custom', configFile: 'jest.mutants.config.js', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  ignoreStatic: !isStatic,
  // What is said is held by tests that read sentences; every letter of every sentence is not a rule.
  mutator: { excludedMutations: ['StringLiteral'] },
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  timeoutMS: 10_000,
  reporters: ['clear-text'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  // Not among the results of tests, which are cleared by each run of the journeys.
  tempDirName: '.brackenfell/mutants',
}).runMutationTest();
const caught = results.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
const counted = results.filter(({ status }) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(status)).length;
console.log(`${caught} of ${counted} noticed: ${((100 * caught) / counted).toFixed(1)} %`);
