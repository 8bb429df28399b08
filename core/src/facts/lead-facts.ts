import { z } from 'zod';
import { fact } from './fact.ts';
import { span, supply, word } from './fact-shapes.ts';

/** Boot at the plug. 45° and 135° are the same bend told two ways; 135 is what the trade writes. */
export const LEAD_BOOTS = ['straight', '135', '90'] as const;
export type LeadBoot = (typeof LEAD_BOOTS)[number];

/** The end at the coil or cap: into a socket, or over a peg. */
export const SOURCE_ENDS = ['socket', 'peg'] as const;
export type SourceEnd = (typeof SOURCE_ENDS)[number];

const lengthMm = z.number().positive().max(3000);

/** `kohmPerM` is 0 for a solid wire; `coilLead` runs between coil and cap instead of to a plug. */
const lead = z
  .object({
    lengthMm,
    boot: z.enum(LEAD_BOOTS),
    source: z.enum(SOURCE_ENDS),
    kohmPerM: z.number().min(0).max(100),
    coilLead: z.boolean().optional(),
  })
  .readonly();
export type Lead = z.infer<typeof lead>;

/**
 * A way a lead must run, from its source to a cylinder's plug (with its place where it has several) or, as `coil`, from coil to
 * cap; and the boots that clear what stands around the plug.
 */
const leadRoute = z
  .object({ to: word, routedMm: lengthMm, boots: z.array(z.enum(LEAD_BOOTS)).min(1).readonly() })
  .readonly();
export type LeadRoute = z.infer<typeof leadRoute>;

/** What a set of leads is (`leads.`), and what an engine asks of it (`leadsAsked.`). */
export const LEAD_FACTS = {
  'leads.set': fact({
    label: 'leads of the set',
    question: 'Lay the leads out: measure each, contact to contact, and note its boots.',
    recorded: z.array(lead).min(1).max(24).readonly(),
  }),
  'leads.supply': fact({
    label: 'supply',
    question: 'Ask the maker or wholesaler whether it is still supplied.',
    recorded: supply,
  }),
  'leadsAsked.routes': fact({
    label: 'ways of the leads',
    question: 'Measure each lead’s route with a string, clips included.',
    recorded: z.array(leadRoute).min(1).max(24).readonly(),
  }),
  'leadsAsked.source': fact({
    label: 'asked source end',
    question: 'Look at the coil or cap: sockets or pegs?',
    recorded: z.enum(SOURCE_ENDS),
  }),
  'leadsAsked.kohmPerM': fact({
    label: 'asked lead resistance',
    question: 'Look up the suppression this engine asks, in kΩ a metre.',
    recorded: span,
  }),
  /** How much longer than its way a lead may be; more hangs against hot or moving parts. */
  'leadsAsked.mostSlackMm': fact({
    label: 'most slack',
    question: 'Look up how much slack the clips allow.',
    printedAs: 'length',
    recorded: z.number().positive().max(500),
  }),
};
