import type { Draw, DrillCase } from '@brackenfell/core/drill/drill-case';
import { drawn } from '@brackenfell/core/drill/drill-case';
import { gapUnitsCase, torqueCase } from '@brackenfell/core/drill/figure-cases';
import { oneCheckCase } from '@brackenfell/core/drill/one-check-case';
import { verdictCase } from '@brackenfell/core/drill/verdict-case';
import { heatCase, numberCase, wornCase } from '@brackenfell/core/drill/number-cases';
import { oldPlugCase } from '@brackenfell/core/drill/old-plug-cases';
import { tellCase } from '@brackenfell/core/drill/tell-cases';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { DrillTopic } from '@brackenfell/core/drill/topics';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { readReferenceRows } from '../authenticity/reference-store.ts';
import { readHeatScales } from '../catalogue/fact-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readEnginesTaking, readSomeNumbers } from './store.ts';

/** So much of a tray is dealt from. */
const LOOKED_AT = 200;
/** An engine that no plug could serve has nothing to ask. */
const ENGINES_TRIED = 5;

interface Dealing {
  readonly context: Context;
  readonly db: Database;
  readonly units: UnitDisplay;
  readonly draw: Draw;
}

/** Plugs are what is asked for most. */
const KINDS: readonly PartKind[] = ['plug', 'plug', 'plug', 'coil', 'lead-set'];

/** A part of a tray, judged there by the shop's own rules. */
async function dealVerdict({ context, db, units, draw }: Dealing): Promise<DrillCase | undefined> {
  const kind = drawn(KINDS, draw)!;
  for (const engineId of await readEnginesTaking(db, kind, { most: ENGINES_TRIED, by: String(draw()) })) {
    const judged = await judgeEngine(context, { kind, engineId, most: LOOKED_AT }, units, db);
    if (!judged) continue;
    const { maker, code, summary } = judged.engine;
    const places = new Set(judged.positions.map(({ place }) => place));
    const dealt = verdictCase(
      judged.candidates.map(({ part, judgement, evidence, place }) => ({
        engine: `${maker} ${code}, ${summary}${places.size > 1 ? `; ${place}` : ''}`,
        part: `${part.maker} ${part.printed}`,
        findings: judgement.findings,
        verdict: judgement.verdict,
        evidence,
      })),
      draw,
    );
    if (dealt) return dealt;
  }
  return undefined;
}

const DEALERS: Readonly<Record<DrillTopic, (dealing: Dealing) => Promise<DrillCase | undefined>>> = {
  'one-check': ({ draw, units }) => Promise.resolve(oneCheckCase(draw, sayIn(units))),
  verdict: dealVerdict,
  heat: async ({ db, draw }) => heatCase([...(await readHeatScales(db)).values()], draw),
  worn: async ({ db, draw }) => wornCase(await readSomeNumbers(db, draw()), draw),
  number: async ({ db, draw }) => numberCase(await readSomeNumbers(db, draw()), draw),
  'gap-units': ({ draw }) => Promise.resolve(gapUnitsCase(draw)),
  torque: ({ draw, units }) => Promise.resolve(torqueCase(draw, sayIn(units))),
  tells: async ({ db, draw }) =>
    tellCase(
      (await readReferenceRows(db)).map(({ content }) => content),
      draw,
    ),
  'old-plugs': ({ draw }) => Promise.resolve(oldPlugCase(draw)),
};

const MOST_TRIES = 3;

/** A case of the first of the topics that has one: an empty catalogue has nothing to ask of some. */
export async function deal(dealing: Dealing, topics: readonly DrillTopic[]): Promise<DrillCase | undefined> {
  for (const topic of topics)
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      const dealt = await DEALERS[topic](dealing);
      if (dealt) return dealt;
    }
  return undefined;
}
