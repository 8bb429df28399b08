import { gapUpperLimitMm } from '@brackenfell/core/plugs/firing-end';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { assignLeads } from '@brackenfell/core/leads/assign-leads';
import type {
  CapShape,
  CoilShape,
  HeadShape,
  LeadSetShape,
  PartShape,
  PlugShape,
  RotorShape,
} from '@brackenfell/contract/shapes';

export function plugShape(sheet: FactSheet): PlugShape {
  const centre = rulingValue(sheet, 'plug.centreMaterial');
  return {
    part: 'plug',
    threadDiameterMm: rulingValue(sheet, 'plug.threadDiameterMm') ?? null,
    threadPitchMm: rulingValue(sheet, 'plug.threadPitchMm') ?? null,
    reachMm: rulingValue(sheet, 'plug.reachMm') ?? null,
    threadedLengthMm: rulingValue(sheet, 'plug.threadedLengthMm') ?? null,
    seat: rulingValue(sheet, 'plug.seat') ?? null,
    hexMm: rulingValue(sheet, 'plug.hexMm') ?? null,
    lengthMm: rulingValue(sheet, 'plug.lengthMm') ?? null,
    terminal: rulingValue(sheet, 'plug.terminal') ?? null,
    projectionMm: rulingValue(sheet, 'plug.projectionMm') ?? null,
    gapMm: rulingValue(sheet, 'plug.gapMm') ?? null,
    groundThicknessMm: rulingValue(sheet, 'plug.groundThicknessMm') ?? null,
    groundCount: rulingValue(sheet, 'plug.groundCount') ?? null,
    groundForm: rulingValue(sheet, 'plug.groundForm') ?? null,
    tipMm: centre === undefined ? null : TIP_MM[centre],
  };
}

/** The plug as it would run at a position: its gap at the upper limit it will be set to, as the depth check counts it. */
function shapeAt(sheet: FactSheet, asked: FactSheet): PlugShape {
  const range = rulingValue(asked, 'position.gapMm');
  if (!range) return plugShape(sheet);
  const gapMm = gapUpperLimitMm({
    adjust: rulingValue(sheet, 'plug.gapAdjust'),
    deliveredMm: rulingValue(sheet, 'plug.gapMm'),
    toleranceMm: rulingValue(sheet, 'plug.gapToleranceMm'),
    asked: range,
  });
  return { ...plugShape(sheet), gapMm };
}

/** Usual tip diameters, for drawing only. */
const TIP_MM = { nickel: 2.5, silver: 2, platinum: 1.1, iridium: 0.6 } as const;

export function headShape(sheet: FactSheet): HeadShape {
  const well = rulingValue(sheet, 'position.wellBoreMm');
  return {
    threadDiameterMm: rulingValue(sheet, 'position.threadDiameterMm') ?? null,
    threadPitchMm: rulingValue(sheet, 'position.threadPitchMm') ?? null,
    headThreadMm: rulingValue(sheet, 'position.headThreadMm') ?? null,
    seat: rulingValue(sheet, 'position.seat') ?? null,
    wellBoreMm: typeof well === 'number' ? well : null,
    pistonTopMm: rulingValue(sheet, 'position.pistonTopMm') ?? null,
    lengthLimitMm: rulingValue(sheet, 'position.lengthLimitMm') ?? null,
  };
}

export function coilShape(sheet: FactSheet, of: 'coil' | 'coilAsked'): CoilShape {
  return {
    part: 'coil',
    topology: rulingValue(sheet, `${of}.topology`) ?? null,
    towers: rulingValue(sheet, `${of}.towersCount`) ?? null,
    connector: rulingValue(sheet, `${of}.connector`) ?? null,
    pins: rulingValue(sheet, `${of}.pinsCount`) ?? null,
    bootLengthMm: rulingValue(sheet, `${of}.bootLengthMm`) ?? null,
    bootAngleDeg: rulingValue(sheet, `${of}.bootAngleDeg`) ?? null,
    mounting: rulingValue(sheet, `${of}.mounting`) ?? null,
  };
}

/** A set of leads, given out to the ways of the engine as well as it can be. */
function leadSetShape(sheet: FactSheet, asked: FactSheet): LeadSetShape {
  const leads = rulingValue(sheet, 'leads.set');
  const routes = rulingValue(asked, 'leadsAsked.routes');
  if (!leads || !routes)
    return { part: 'lead-set', leads: leads ? [...leads] : null, leadFor: [], slackMm: [], leftOver: [] };
  const mostSlackMm = rulingValue(asked, 'leadsAsked.mostSlackMm');
  const { leadFor, slackMm, leftOver } = assignLeads(leads, routes, mostSlackMm === undefined ? {} : { mostSlackMm });
  return { part: 'lead-set', leads: [...leads], leadFor: [...leadFor], slackMm: [...slackMm], leftOver: [...leftOver] };
}

export function capShape(sheet: FactSheet, of: 'cap' | 'capAsked'): CapShape {
  return {
    part: 'cap',
    towers: rulingValue(sheet, `${of}.towersCount`) ?? null,
    fixing: rulingValue(sheet, `${of}.fixing`) ?? null,
    indexDeg: rulingValue(sheet, `${of}.indexDeg`) ?? null,
    contactRadiusMm: rulingValue(sheet, `${of}.contactRadiusMm`) ?? null,
  };
}

export function rotorShape(sheet: FactSheet, of: 'rotor' | 'rotorAsked'): RotorShape {
  return {
    part: 'rotor',
    shaft: rulingValue(sheet, `${of}.shaft`) ?? null,
    tipRadiusMm: rulingValue(sheet, `${of}.tipRadiusMm`) ?? null,
    heightMm: rulingValue(sheet, `${of}.heightMm`) ?? null,
  };
}

/** What a candidate's drawing needs, for what is asked where it would go. */
export function partShape(kind: PartKind, sheet: FactSheet, asked: FactSheet): PartShape {
  switch (kind) {
    case 'plug':
      return shapeAt(sheet, asked);
    case 'coil':
      return coilShape(sheet, 'coil');
    case 'lead-set':
      return leadSetShape(sheet, asked);
    case 'cap':
      return capShape(sheet, 'cap');
    case 'rotor':
      return rotorShape(sheet, 'rotor');
  }
}
