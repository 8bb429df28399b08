import { describe, expect, test } from '@jest/globals';
import { Migrator, sql } from 'kysely';
import { findInspection } from '../authenticity/inspection-store.ts';
import { MIGRATIONS } from '../db/migrations/list.ts';
import { readLines } from '../slip/line-store.ts';
import { openOf } from '../slip/standing.ts';
import { openEmptyDatabase } from '../testing/counter.ts';
import { migrate } from './migrate.ts';

/** A release is what its last migration made of the database. Its counter had written what its tables could hold. */
const RELEASES = Object.keys(MIGRATIONS).slice(0, -1);
const since = (release: string, first: string): boolean => RELEASES.indexOf(release) >= RELEASES.indexOf(first);

/** A slip with a line, a note and two judgements, as every release has kept them. */
const SLIP = [
  `insert into maker (id, name) values ('kestrane', 'Kestrane'), ('skerrow', 'Skerrow')`,
  `insert into part (maker_id, kind) values ('kestrane', 'plug')`,
  `insert into engine (id, maker_id, code, summary, layout, visits, cautions, words)
     values ('skerrow-sc20', 'skerrow', 'SC20', '2.0 four', 'in line 4', 3, '[]', 'sc20')`,
  `insert into staff (name, initials, role, password_hash, pin_hash)
     values ('Wren', 'WR', 'specialist', 'x', 'x'), ('Isolde', 'IS', 'supervisor', 'x', 'x')`,
  `insert into slip (state, customer, vehicle, came_for, engine_id, holder_id)
     values ('parked', 'Windle Quarry', 'site wagon', 'misfire', 'skerrow-sc20', 1)`,
  `insert into slip_line (slip_id, part_id, kind, quantity, unit_price_minor, positions)
     values (1, 1, 'sale', 4, 940, '{1,2,3,4}')`,
  `insert into slip_note (slip_id, staff_id, text) values (1, 1, 'Runs rough when wet')`,
  `insert into judgement (slip_line_id, staff_id, catalogue_version, rules_version, verdict, reason, findings)
     values (1, 1, 4, 1, 'sell', 'Every check matches', '[{"check":"reach","told":{"says":"19.0 mm, as asked."}}]'),
            (1, 2, 5, 1, 'ask-first', 'Deeper', '[{"check":"depth","outcome":"unknown","blocks":true,
               "told":{"says":"Not known: piston clearance.","toDo":"Measure to the piston."},"missing":[{"id":"position.crownMm"}]}]')`,
  `insert into change_entry (staff_id, subject, subject_id, action, after)
     values (1, 'slip line', '1', 'add', '{"quantity":4}')`,
];

const named = (release: string): string =>
  since(release, '2026-11-26-whole-catalogue')
    ? `insert into part_name (part_id, kind, printed, normal_form, fold_key, maker_id)
         values (1, 'catalogue', 'KN 419G-63', 'KN419G63', 'KN419663', 'kestrane')`
    : `insert into part_name (part_id, kind, printed, normal_form, fold_key)
         values (1, 'catalogue', 'KN 419G-63', 'KN419G63', 'KN419663')`;

const INSPECTION = [
  `insert into seller (name, channel) values ('Norrad Wholesale', 'wholesale')`,
  `insert into proof_reference (maker_id, part_kind, generation, version, content)
     values ('kestrane', 'plug', 'slate-box', 1, '{"title":"slate box","tells":[{"id":"crown"}]}')`,
  `insert into batch (part_id, seller_id, code, code_normal, quantity, on_hand, unit_cost_minor)
     values (1, 2, 'C24 31 07', 'C243107', 24, 10, 812)`,
  `insert into inspection (part_id, seller_id, channel, batch_id, reference_id, reference_used, pieces, batch_size, staff_id)
     values (1, 2, 'wholesale', 1, 1, 'drawings', 2, 24, 1)`,
  `insert into inspection_entry (inspection_id, what, subject, piece, answer, value, staff_id)
     values (1, 'tell', 'crown', 1, 'differs', null, 1), (1, 'measure', 'gapMm', 2, '', 1.04, 1)`,
  `insert into inspection_conclusion (inspection_id, band, bands, chance, says, journal_length, staff_id)
     values (1, 'not-proven', '{not-proven,not-proven}', 0.2, '["Not proven."]', 2, 2)`,
];
const RULES = [`insert into house_rule_choice (rule, school, staff_id) values ('grease', 'dry', 2)`];
const READING = [
  `insert into piece_reading (slip_id, part_id, fact, value, how, staff_id)
     values (1, 1, 'plug.reachMm', '19.1', 'gauged', 1)`,
];

/** Everything that was told, noted or found, row by row, in columns that every release has had. */
const KEPT = {
  slip: `select docket, state, customer, vehicle, came_for, engine_id, holder_id from slip`,
  line: `select slip_id, part_id, kind, quantity, unit_price_minor, positions, removed_at from slip_line order by id`,
  note: `select slip_id, staff_id, text, at from slip_note order by id`,
  judgement: `select slip_line_id, staff_id, catalogue_version, rules_version, verdict, reason, findings, at
                from judgement order by id`,
  change: `select staff_id, subject, subject_id, action, before, after, at from change_entry order by id`,
} as const;
const KEPT_OF_INSPECTION = {
  entry: `select inspection_id, what, subject, piece, answer, value, device, staff_id, at from inspection_entry order by id`,
  conclusion: `select inspection_id, band, bands, chance, says, journal_length, staff_id, at from inspection_conclusion`,
} as const;
const KEPT_OF_RULES = { rule: `select rule, school, staff_id, at from house_rule_choice` } as const;
const KEPT_OF_READING = {
  reading: `select slip_id, part_id, fact, value, how, staff_id, at, withdrawn_at from piece_reading`,
} as const;

describe('a counter’s data, from whichever release', () => {
  test.each(RELEASES)(
    '%s: slips, judgements and inspections are after the upgrade as they were before',
    async (release) => {
      const { owner, close } = await openEmptyDatabase();
      try {
        const migrator = new Migrator({ db: owner, provider: { getMigrations: () => Promise.resolve(MIGRATIONS) } });
        expect((await migrator.migrateTo(release)).error).toBeUndefined();
        const [withRules, withProof, withReadings] = [
          since(release, '2026-11-27-whole-ignition'),
          since(release, '2026-11-28-proof'),
          since(release, '2026-11-29-right-at-the-counter'),
        ];
        const kept = {
          ...KEPT,
          ...(withRules ? KEPT_OF_RULES : {}),
          ...(withProof ? KEPT_OF_INSPECTION : {}),
          ...(withReadings ? KEPT_OF_READING : {}),
        };
        const written = [
          ...SLIP,
          named(release),
          ...(withRules ? RULES : []),
          ...(withProof ? INSPECTION : []),
          ...(withReadings ? READING : []),
        ];
        for (const statement of written) await sql.raw(statement).execute(owner);
        const read = async () => {
          const rows: Record<string, unknown> = {};
          for (const [what, question] of Object.entries(kept))
            rows[what] = (await sql.raw(question).execute(owner)).rows;
          return rows;
        };
        const before = await read();

        expect((await migrate(owner)).length).toBe(Object.keys(MIGRATIONS).length - RELEASES.indexOf(release) - 1);
        expect(await read()).toEqual(before);
        expect(Object.values(before).every((rows) => (rows as unknown[]).length > 0)).toBe(true);
        const mayRewrite = await sql<{ may: boolean }>`
          select has_table_privilege('brackenfell_app', 'judgement', 'update, delete') as may`.execute(owner);
        expect(mayRewrite.rows).toEqual([{ may: false }]);
        // A question of before is answered by the fact's name of today.
        const [open] = openOf(await readLines(owner, '1'));
        expect(open).toMatchObject({ kind: 'question', facts: ['position.pistonTopMm'], answeredHere: true });
        if (withProof) {
          const found = await findInspection(owner, '1');
          expect(found?.journal.map(({ subject, by }) => [subject, by])).toEqual([
            ['crown', 'Wren'],
            ['gapMm', 'Wren'],
          ]);
          expect(found?.conclusion).toMatchObject({ band: 'not-proven', says: ['Not proven.'], by: 'Isolde' });
        }
      } finally {
        await close();
      }
    },
  );
});
