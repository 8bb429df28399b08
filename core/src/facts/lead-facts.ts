import { meaning, type FactMeaning, type Span, type Supply } from './fact-shapes.ts';

/** Boot at the plug. 45° and 135° are the same bend told two ways; 135 is what the trade writes. */
export const LEAD_BOOTS = ['straight', '135', '90'] as const;
export type LeadBoot = (typeof LEAD_BOOTS)[number];

/** The end at the coil or cap: into a socket, or over a peg. */
export const SOURCE_ENDS = ['socket', 'peg'] as const;
export type SourceEnd = (typeof SOURCE_ENDS)[number];

export interface Lead {
  readonly lengthMm: number;
  readonly boot: LeadBoot;
  readonly source: SourceEnd;
  /** 0 for a solid wire. */
  readonly kohmPerM: number;
  /** Between coil and cap instead of to a plug. */
  readonly coilLead?: boolean;
}

/** A way a lead must run, from its source to a cylinder's plug or to the cap. */
export interface LeadRoute {
  /** Cylinder, with its place where it has several plugs; `coil` for the lead from coil to cap. */
  readonly to: string;
  readonly routedMm: number;
  /** Boots that clear what stands around the plug. */
  readonly boots: readonly LeadBoot[];
}

export interface LeadFactTypes {
  'leads.set': readonly Lead[];
  'leads.supply': Supply;
  'leadsAsked.routes': readonly LeadRoute[];
  'leadsAsked.source': SourceEnd;
  'leadsAsked.kohmPerM': Span;
  /** How much longer than its way a lead may be; more hangs against hot or moving parts. */
  'leadsAsked.mostSlackMm': number;
}

export const LEAD_FACTS: Readonly<Record<keyof LeadFactTypes, FactMeaning>> = {
  'leads.set': meaning('leads of the set', 'Lay the leads out: measure each, contact to contact, and note its boots.'),
  'leads.supply': meaning('supply', 'Ask the maker or wholesaler whether it is still supplied.'),
  'leadsAsked.routes': meaning('ways of the leads', 'Measure each lead’s route with a string, clips included.'),
  'leadsAsked.source': meaning('asked source end', 'Look at the coil or cap: sockets or pegs?'),
  'leadsAsked.kohmPerM': meaning('asked lead resistance', 'Look up the suppression this engine asks, in kΩ a metre.'),
  'leadsAsked.mostSlackMm': meaning('most slack', 'Look up how much slack the clips allow.', 'length'),
};
