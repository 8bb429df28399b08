import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  ALL_CHECK_IDS,
  CAP_CHECK_IDS,
  CHECK_IDS,
  COIL_CHECK_IDS,
  LEAD_CHECK_IDS,
  ROTOR_CHECK_IDS,
} from '../fitment/check-ids.ts';
import { CHECKS_BY_KIND } from './checks-by-kind.ts';
import type { CheckExample } from '../fitment/define-check.ts';
import type { FactSheet } from '../facts/facts.ts';
import { PART_KINDS } from '../facts/part-kinds.ts';
import { sayIn } from '../fitment/say.ts';
import { domainHeadings } from '../testing/domain-headings.ts';

const source = { rank: 'engine-maker', name: 'Example sheet' } as const;
const sheetOf = (facts: CheckExample['facts']): FactSheet =>
  Object.fromEntries(Object.entries(facts).map(([id, value]) => [id, { ruling: [{ value, source }] }]));

const IDS = {
  plug: CHECK_IDS,
  coil: COIL_CHECK_IDS,
  'lead-set': LEAD_CHECK_IDS,
  cap: CAP_CHECK_IDS,
  rotor: ROTOR_CHECK_IDS,
} as const;
/** Checks whose gravest answer is a caution. */
const NEVER_REFUSE = [
  'grounds',
  'shell',
  'primary',
  'secondary',
  'spark-polarity',
  'revision',
  'pair',
  'rotor-resistance',
];

const filesIn = (folder: string) =>
  readdirSync(join(__dirname, folder))
    .filter((file) => !file.endsWith('.test.ts'))
    .map((file) => file.replace('.ts', ''))
    .sort();
/** A check that two kinds of part share has a file in each kind's folder, named for both. */
const fileOf = (kind: string, id: string) =>
  kind !== 'plug' && (id === 'supply' || id === 'pair') ? `${{ 'lead-set': 'leads' }[kind] ?? kind}-${id}` : id;

describe('the folders of checks', () => {
  test.each(PART_KINDS.map((kind) => [kind] as const))('%s: every check is listed in the order of the hand', (kind) => {
    expect(CHECKS_BY_KIND[kind].map((check) => check.id)).toEqual([...IDS[kind]]);
  });

  test.each([
    ['../plugs/checks', ['plug']],
    ['../coils/checks', ['coil']],
    ['../leads/checks', ['lead-set']],
    ['../distributor/checks', ['cap', 'rotor']],
  ] as const)('%s holds one file a check', (folder, kinds) => {
    expect(filesIn(folder)).toEqual(kinds.flatMap((kind) => IDS[kind].map((id) => fileOf(kind, id))).sort());
  });

  test('together know every check there is', () => {
    expect(new Set(PART_KINDS.flatMap((kind) => IDS[kind]))).toEqual(new Set(ALL_CHECK_IDS));
  });
});

const HEADINGS = domainHeadings();
const sourcesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? sourcesIn(path) : path.endsWith('.ts') && !path.endsWith('.test.ts') ? [path] : [];
  });

const ALL = PART_KINDS.flatMap((kind) => CHECKS_BY_KIND[kind].map((check) => [kind, check.id, check] as const));

test.each(ALL)('%s, %s: says where its rule is written, and there it is', (_kind, _id, check) => {
  expect(check.source.split('; ').filter((place) => !HEADINGS.has(place))).toEqual([]);
});

test('no sentence of the code names a place in the domain that is not there', () => {
  const titles = [...new Set([...HEADINGS].map((place) => place.split(': ')[0]!))];
  const cited = new RegExp(`\\b(?:${titles.join('|')}): [A-Z][a-z]+(?: [a-z]+)*`, 'g');
  const comments = sourcesIn(join(__dirname, '..')).flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/\/\*\*[\s\S]*?\*\//g)].map(([text]) =>
      text.replaceAll(/\s*\n\s*\*\s*/g, ' '),
    ),
  );
  const places = comments.flatMap((text) => text.match(cited) ?? []);
  expect(places.length).toBeGreaterThan(60);
  expect(places.filter((place) => ![...HEADINGS].some((heading) => place.startsWith(heading)))).toEqual([]);
});

test.each(ALL)('%s, %s: has a match, an unknown, and its gravest outcome as examples', (_kind, id, check) => {
  const outcomes = check.examples.map((example) => example.outcome);
  expect(outcomes).toContain('match');
  expect(outcomes).toContain('unknown');
  expect(outcomes).toContain(NEVER_REFUSE.includes(id) ? 'caution' : 'refuse');
});

for (const [kind, id, check] of ALL) {
  describe(`${kind}, ${id}`, () => {
    test.each(check.examples.map((example) => [example.says, example] as const))('%s', (_, example) => {
      const finding = check.ask(sheetOf(example.facts), sayIn('metric'));
      expect([finding.outcome, ...(example.caseId ? [finding.caseId] : [])]).toEqual([
        example.outcome,
        ...(example.caseId ? [example.caseId] : []),
      ]);
      expect(finding.told.says).toMatch(/^.+\.$/u);
      expect(finding.told.phrase).not.toBe('');
      expect(`${finding.told.says} ${finding.told.phrase} ${finding.told.asked} ${finding.told.has}`).not.toMatch(
        /undefined|NaN|null|\[object/,
      );
      if (finding.outcome === 'unknown') expect(finding.missing.length + finding.told.toDo!.length).toBeGreaterThan(0);
      if (finding.outcome === 'refuse') expect(finding.told.toDo).not.toBeNull();
    });
  });
}
