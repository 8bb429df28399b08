import type { Express } from 'express';
import { readBarcode } from '@brackenfell/core/part-numbers/barcode';
import { LONGEST_PART_NUMBER, normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { ask } from '@brackenfell/contract/ask';
import type { Context } from '../context.ts';
import { serve } from '../http/serve.ts';
import { partAnswer, yearsOf } from './present.ts';
import { findEngines, findNames, findSlips, findVehicles } from './store.ts';

const MOST_ANSWERS = 8;

/** What is odd about the question itself. */
function remarkOn(question: string, normal: string): string | null {
  const barcode = readBarcode(question);
  if (barcode.kind === 'wrong-check-digit') {
    return `As a ${barcode.symbology} barcode its check digit should be ${barcode.expected}; scan it again.`;
  }
  if (normal === '') return 'There is no letter or digit in the question.';
  if (normal.length > LONGEST_PART_NUMBER) return 'Too long for a part number; it was read as words.';
  if (/[?*]/.test(question))
    return 'Signs for illegible characters are not answered yet: leave the character out to see numbers that begin so.';
  return null;
}

export function askRoutes(app: Express, context: Context): void {
  serve(app, context, ask, async ({ query, db }) => {
    const normal = normalForm(query.q);
    const asNumber = normal !== '' && normal.length <= LONGEST_PART_NUMBER;
    const [names, engines, vehicles, slips] = await Promise.all([
      asNumber ? findNames(db, normal) : [],
      findEngines(db, query.q, MOST_ANSWERS),
      findVehicles(db, query.q, MOST_ANSWERS),
      findSlips(db, query.q, MOST_ANSWERS),
    ]);
    return {
      parts: names.map((hit) => partAnswer(query.q, hit)),
      engines: engines.map((e) => ({
        engineId: e.id,
        title: `${e.maker} ${e.code}`,
        summary: e.summary,
        how: 'by its words',
      })),
      vehicles: vehicles.map((v) => ({
        vehicleId: v.id,
        engineId: v.engine_id,
        title: `${v.make} ${v.model}`,
        engine: v.code,
        years: yearsOf(v.built_from, v.built_to),
      })),
      slips: slips.map((s) => ({
        slipId: s.id,
        docket: s.docket,
        title: [s.customer || 'No name', s.vehicle, s.state].filter(Boolean).join(', '),
      })),
      remark: remarkOn(query.q, normal),
    };
  });
}
