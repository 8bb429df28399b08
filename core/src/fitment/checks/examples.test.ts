import { describe, expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { CHECK_IDS } from '../check-ids.ts';
import { CHECKS } from '../check-list.ts';
import type { CheckExample } from '../define-check.ts';
import type { FactSheet } from '../facts.ts';
import { sayIn } from '../say.ts';

const source = { rank: 'engine-maker', name: 'Example sheet' } as const;
const sheetOf = (facts: CheckExample['facts']): FactSheet =>
  Object.fromEntries(Object.entries(facts).map(([id, value]) => [id, { ruling: [{ value, source }] }]));

describe('the folder of checks', () => {
  const files = readdirSync(__dirname).filter((file) => !file.endsWith('.test.ts'));

  test('holds one file a check, all of them listed in the order a hand meets the plug', () => {
    expect(CHECKS.map((check) => check.id)).toEqual([...CHECK_IDS]);
    expect(files.map((file) => file.replace('.ts', '')).sort()).toEqual([...CHECK_IDS].sort());
  });

  test.each(CHECKS.map((check) => [check.id, check] as const))(
    '%s has a match, an unknown, and its gravest outcome as examples',
    (id, check) => {
      const outcomes = check.examples.map((example) => example.outcome);
      expect(outcomes).toContain('match');
      expect(outcomes).toContain('unknown');
      // Grounds and shell never refuse: their gravest answer is a caution.
      expect(outcomes).toContain(id === 'grounds' || id === 'shell' ? 'caution' : 'refuse');
    },
  );
});

for (const check of CHECKS) {
  describe(check.id, () => {
    test.each(check.examples.map((example) => [example.says, example] as const))('%s', (_, example) => {
      const finding = check.ask(sheetOf(example.facts), sayIn('metric'));
      expect([finding.outcome, ...(example.caseId ? [finding.caseId] : [])]).toEqual([
        example.outcome,
        ...(example.caseId ? [example.caseId] : []),
      ]);
      expect(finding.told.says).toMatch(/^.+\.$/u);
      expect(finding.told.phrase).not.toBe('');
      if (finding.outcome === 'unknown') expect(finding.missing.length + finding.told.toDo!.length).toBeGreaterThan(0);
      if (finding.outcome === 'refuse') expect(finding.told.toDo).not.toBeNull();
    });
  });
}
