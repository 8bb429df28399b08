import { z } from 'zod';
import { RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { COUNTER, endpoint, Id, line } from './endpoint.ts';
import { Slip, SlipVersion } from './slip.ts';
import { SlipKept } from './slip-kept.ts';

/** A rule of the house settled otherwise for one slip, with its reason. */
export const chooseOnSlip = endpoint('chooseOnSlip', {
  summary: 'Settle a house rule otherwise for this slip, or take that back (no school); its lines are judged again.',
  roles: ['specialist', 'supervisor'],
  params: z.object({ slipId: Id, rule: z.enum(RULE_IDS) }),
  body: z.object({ version: SlipVersion, school: line(40).nullable(), reason: line(200).min(3) }).strict(),
  response: Slip,
  idempotent: true,
});

export const keepOnSlip = endpoint('keepOnSlip', {
  summary: 'Keep a swap test or what is fitted on the slip, as far as it has come; the latest of each stands.',
  roles: COUNTER,
  params: z.object({ slipId: Id }),
  body: z.object({ version: SlipVersion, kept: SlipKept }).strict(),
  response: Slip,
  idempotent: true,
});
