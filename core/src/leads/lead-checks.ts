import type { Check } from '../fitment/define-check.ts';
import { leadCount } from './checks/lead-count.ts';
import { leadLengths } from './checks/lead-lengths.ts';
import { leadResistance } from './checks/lead-resistance.ts';
import { leadsSupply } from './checks/leads-supply.ts';
import { plugBoots } from './checks/plug-boots.ts';
import { sourceEnds } from './checks/source-ends.ts';

/** The checks of a set of leads, in the order a hand lays it out. */
export const LEAD_CHECKS: readonly Check[] = [
  leadCount,
  leadLengths,
  plugBoots,
  sourceEnds,
  leadResistance,
  leadsSupply,
];
