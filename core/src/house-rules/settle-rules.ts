import type { FactSheet } from '../facts/facts.ts';
import { CONDITIONS, type ConditionId } from './conditions.ts';
import { HOUSE_RULES, RULE_IDS, type HouseRules, type RuleId } from './house-rules.ts';
import type { MakersInstruction } from '../facts/makers-instruction.ts';

/** What a shop works by: its default in every rule, and where it chooses otherwise, in its own order. */
export interface ShopRules {
  readonly defaults: HouseRules;
  readonly conditional: readonly ConditionalChoice[];
}
export interface ConditionalChoice {
  readonly rule: RuleId;
  readonly condition: ConditionId;
  readonly school: string;
}
/** A rule settled otherwise for one slip, with its reason. */
export interface SlipChoice {
  readonly rule: RuleId;
  readonly school: string;
  readonly reason: string;
}

/** Who spoke, most weighty first. */
export type Spoke =
  | { readonly by: 'maker'; readonly says: string }
  /** Two instructions differ and none is newer: asked before anything is done. */
  | { readonly by: 'makers-differ'; readonly says: string }
  | { readonly by: 'slip'; readonly says: string }
  | { readonly by: 'condition'; readonly says: string }
  | { readonly by: 'default' };

export interface SettledRules {
  readonly rules: HouseRules;
  readonly spoke: Readonly<Record<RuleId, Spoke>>;
}

const knows = (rule: RuleId, school: string): boolean => HOUSE_RULES[rule].schools.some(({ id }) => id === school);

function instructionOf(rule: RuleId, sheets: readonly FactSheet[]): readonly MakersInstruction[] {
  const all = sheets.flatMap((sheet) => [
    ...(sheet['position.instructs']?.ruling ?? []),
    ...(sheet['plug.instructs']?.ruling ?? []),
  ]);
  return all.map(({ value }) => value).filter((one) => one.rule === rule && knows(rule, one.school));
}

/** The newest of instructions that differ; undefined where no date tells them apart. */
function newest(instructions: readonly MakersInstruction[]): MakersInstruction | undefined {
  const [first] = instructions;
  if (instructions.every(({ school }) => school === first?.school)) return first;
  if (instructions.some(({ dated }) => dated === undefined)) return undefined;
  const latest = instructions
    .map(({ dated }) => dated!)
    .sort()
    .at(-1);
  const newer = instructions.filter(({ dated }) => dated === latest);
  return newer.every(({ school }) => school === newer[0]!.school) ? newer[0] : undefined;
}

/**
 * The school of each rule that holds for a place and a part, and who settled it: a maker's own instruction, else the choice
 * on this slip, else the first of the shop's conditional choices that holds, else the shop's default. `part` is empty while
 * nothing is in hand. House rules: Who speaks.
 */
export function settleRules(
  shop: ShopRules,
  slip: readonly SlipChoice[],
  position: FactSheet,
  part: FactSheet = {},
): SettledRules {
  const settled = RULE_IDS.map((rule): readonly [RuleId, string, Spoke] => {
    const instructions = instructionOf(rule, [position, part]);
    const instruction = newest(instructions);
    if (instruction) return [rule, instruction.school, { by: 'maker', says: instruction.says }];
    const [one, other] = instructions;
    if (one && other)
      return [
        rule,
        shop.defaults[rule],
        { by: 'makers-differ', says: instructions.map(({ says }) => says).join(' / ') },
      ];
    const own = slip.find((choice) => choice.rule === rule && knows(rule, choice.school));
    if (own) return [rule, own.school, { by: 'slip', says: own.reason }];
    const where = shop.conditional.find(
      (choice) =>
        choice.rule === rule && knows(rule, choice.school) && CONDITIONS[choice.condition].holds(position, part),
    );
    if (where) return [rule, where.school, { by: 'condition', says: CONDITIONS[where.condition].says }];
    return [rule, shop.defaults[rule], { by: 'default' }];
  });
  return {
    rules: {
      ...(Object.fromEntries(settled.map(([rule, school]) => [rule, school])) as unknown as HouseRules),
      version: shop.defaults.version,
    },
    spoke: Object.fromEntries(settled.map(([rule, , spoke]) => [rule, spoke])) as Record<RuleId, Spoke>,
  };
}

/** Who spoke, as the answer names it beside the rule; nothing where the shop's own default did. */
export function saySpoke(spoke: Spoke): string | undefined {
  switch (spoke.by) {
    case 'maker':
      return `the maker instructs: ${spoke.says}`;
    case 'makers-differ':
      return `two sheets differ, ask first: ${spoke.says}`;
    case 'slip':
      return `on this slip: ${spoke.says}`;
    case 'condition':
      return `where ${spoke.says}`;
    case 'default':
      return undefined;
  }
}
