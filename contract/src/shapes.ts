import { z } from 'zod';
import { CONNECTORS, TOPOLOGIES } from '@brackenfell/core/facts/coil-facts';
import { CAP_FIXINGS, SHAFTS } from '@brackenfell/core/facts/distributor-facts';
import { GROUND_FORMS, SEATS, TERMINALS } from '@brackenfell/core/facts/plug-facts';
import { RECORDED_SHAPES } from '@brackenfell/core/facts/facts';

/** Everything the section drawing needs of a plug; null is drawn dashed, never by a default. Lengths in mm. */
export const PlugShape = z
  .object({
    part: z.literal('plug'),
    threadDiameterMm: z.number().nullable(),
    threadPitchMm: z.number().nullable(),
    reachMm: z.number().nullable(),
    threadedLengthMm: z.number().nullable(),
    seat: z.enum(SEATS).nullable(),
    hexMm: z.number().nullable(),
    lengthMm: z.number().nullable(),
    terminal: z.enum(TERMINALS).nullable(),
    projectionMm: z.number().nullable(),
    gapMm: z.number().nullable(),
    groundThicknessMm: z.number().nullable(),
    groundCount: z.number().nullable(),
    groundForm: z.enum(GROUND_FORMS).nullable(),
    tipMm: z.number().nullable(),
  })
  .meta({ id: 'PlugShape' });
export type PlugShape = z.infer<typeof PlugShape>;

export const HeadShape = z
  .object({
    threadDiameterMm: z.number().nullable(),
    threadPitchMm: z.number().nullable(),
    headThreadMm: z.number().nullable(),
    seat: z.enum(['gasket', 'taper']).nullable(),
    wellBoreMm: z.number().nullable(),
    pistonTopMm: z.number().nullable(),
    lengthLimitMm: z.number().nullable(),
  })
  .meta({ id: 'HeadShape' });
export type HeadShape = z.infer<typeof HeadShape>;

export const CoilShape = z
  .object({
    part: z.literal('coil'),
    topology: z.enum(TOPOLOGIES).nullable(),
    towers: z.number().nullable(),
    connector: z.enum(CONNECTORS).nullable(),
    pins: z.number().nullable(),
    bootLengthMm: z.number().nullable(),
    bootAngleDeg: z.number().nullable(),
    mounting: RECORDED_SHAPES['coil.mounting'].nullable(),
  })
  .meta({ id: 'CoilShape' });
export type CoilShape = z.infer<typeof CoilShape>;

/** A set of leads and where each goes: the places run as the engine's ways do. */
export const LeadSetShape = z
  .object({
    part: z.literal('lead-set'),
    leads: RECORDED_SHAPES['leads.set'].nullable(),
    leadFor: z.array(z.number().int().nullable()),
    slackMm: z.array(z.number().nullable()),
    leftOver: z.array(z.number().int()),
  })
  .meta({ id: 'LeadSetShape' });
export type LeadSetShape = z.infer<typeof LeadSetShape>;

export const CapShape = z
  .object({
    part: z.literal('cap'),
    towers: z.number().nullable(),
    fixing: z.enum(CAP_FIXINGS).nullable(),
    indexDeg: z.number().nullable(),
    contactRadiusMm: z.number().nullable(),
  })
  .meta({ id: 'CapShape' });
export type CapShape = z.infer<typeof CapShape>;

export const RotorShape = z
  .object({
    part: z.literal('rotor'),
    shaft: z.enum(SHAFTS).nullable(),
    tipRadiusMm: z.number().nullable(),
    heightMm: z.number().nullable(),
  })
  .meta({ id: 'RotorShape' });
export type RotorShape = z.infer<typeof RotorShape>;

export const PartShape = z.discriminatedUnion('part', [PlugShape, CoilShape, LeadSetShape, CapShape, RotorShape]);
export type PartShape = z.infer<typeof PartShape>;
