import { readDuty } from '@brackenfell/core/duty/duty-text';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { kitList } from '@brackenfell/core/kit/kit-list';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { staysWithWorkshop } from '@brackenfell/core/service-plan/home-or-workshop';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import { deskOf, setUpPoints } from '@brackenfell/core/set-up/set-up-points';
import type { HandOver } from '@brackenfell/contract/hand-over';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { findEngine } from '../engine/store.ts';
import { readFound, type FoundHere } from '../reading/store.ts';
import { ticksOf, ticksOfLine, type TickRow } from './tick-store.ts';
import { optionsOf } from './options.ts';
import { countsIn } from '../tray/cost.ts';
import { judgeAlone, planOf, type JudgedAlone } from '../tray/fitting-plan.ts';
import { judgePlugs } from '../tray/judge-plugs.ts';

type Fitted = HandOver['fitted'][number];

/** Of the tray, so many are looked at for what is cheapest over the years. */
const LOOKED_AT = 24;

const isFitted = ({ partKind, verdict }: SlipLine): boolean =>
  partKind === 'plug' && verdict !== null && verdict !== 'refuse';

/** How each piece was found and set, in the reader's units; what was not read is said to be so. */
function gapsOf({ quantity, setUp, gaps, positions }: SlipLine, say: Say): Fitted['gaps'] {
  return deskOf({ quantity, figures: setUp, gaps }).pieces.map(({ piece, beforeMm, afterMm, state }) => {
    const now = afterMm ?? beforeMm;
    const says =
      now === undefined
        ? 'not verified'
        : `${afterMm !== undefined && beforeMm !== undefined ? `found ${say.quantity('gap', beforeMm)}, set ` : ''}${say.quantity('gap', now)}${state.kind === 'fits' ? '' : ', outside'}`;
    return { piece, place: positions[piece - 1] ?? 'spare', says };
  });
}

/** What is set where: a figure that holds at every place is told once, without them. */
function figuresOf({ setUp }: SlipLine, say: Say): Fitted['figures'] {
  const places = setUp.flatMap(({ at }) => at);
  const told: { at: string[]; what: string; says: string; source: string }[] = [];
  for (const figures of setUp)
    for (const { what, says, source } of sayFigures(figures, say)) {
      const same = told.find((one) => one.what === what && one.says === says && one.source === source);
      if (same) same.at.push(...figures.at);
      else told.push({ at: [...figures.at], what, says, source });
    }
  return told.map(({ at, ...figure }) => ({ at: at.length === places.length ? 'all' : at.join(', '), ...figure }));
}

interface Asked {
  readonly engineId: string;
  readonly slip: Slip;
  readonly found: FoundHere;
  readonly units: UnitDisplay;
  readonly notes: Parameters<typeof kitList>[0]['notes'];
  readonly ticks: readonly TickRow[];
}

async function fittedLine(
  context: Context,
  db: Database,
  line: SlipLine,
  { engineId, slip, found, units, notes, ticks }: Asked,
): Promise<Fitted> {
  const say = sayIn(units);
  const duty = readDuty(slip.duty) ?? {};
  const build = slip.build ?? undefined;
  const alone = await judgeAlone(context, db, { engineId, partId: line.partId, duty, build, units, found });
  return {
    lineId: line.lineId,
    printed: line.printed,
    maker: line.maker,
    quantity: line.quantity,
    isOwn: line.kind === 'customers-own',
    figures: figuresOf(line, say),
    gaps: gapsOf(line, say),
    steps: alone ? (await planOf(db, alone, units)).steps : [],
    ticks: ticksOfLine(ticks, line.lineId),
    kit: alone ? [...kitFor(alone, line.quantity, notes, say)] : [],
  };
}

function kitFor(
  { judged, candidate, places }: JudgedAlone,
  quantity: number,
  notes: Asked['notes'],
  say: Say,
): ReturnType<typeof kitList> {
  const position = places[0].sheet;
  const plug = candidate.sheet;
  return kitList({ position, plug, settled: judged.ruling.settle(position, plug), quantity, notes }, say);
}

/** The work on a second plug as far as it is another: what is the same is done, and ticked, once. */
const besides = (first: Fitted['steps'], other: Fitted['steps']): Fitted['steps'] =>
  other.filter(({ says }) => !first.some((step) => step.says === says));

/** Everything a slip's fitter leaves with. Undefined for a slip without an engine. */
export async function gatherHandOver(
  context: Context,
  db: Database,
  slip: Slip,
  units: UnitDisplay,
): Promise<HandOver | undefined> {
  const { engineId } = slip;
  if (engineId === null) return undefined;
  const [engine, found, ticks] = await Promise.all([
    findEngine(db, engineId),
    readFound(db, slip.slipId),
    ticksOf(db, slip.slipId).execute(),
  ]);
  if (!engine) return undefined;
  const say = sayIn(units);
  const notes = engine.notes.map(({ about, says, torqueNm }) => ({
    about,
    says,
    torque: torqueNm ? say.span('fastener-torque', torqueNm) : null,
  }));
  const judged = await judgePlugs(
    context,
    { engineId, build: slip.build ?? undefined, duty: readDuty(slip.duty) ?? {}, found, most: LOOKED_AT },
    units,
    db,
  );
  const asked = { engineId, slip, found, units, notes, ticks };
  const plugs = slip.lines.filter(isFitted);
  const fitted = await Promise.all(plugs.map((line) => fittedLine(context, db, line, asked)));
  const refused = slip.lines.filter(({ verdict }) => verdict === 'refuse');
  return {
    docket: slip.docket,
    customer: slip.customer,
    vehicle: slip.vehicle,
    engine: `${engine.maker} ${engine.code}`,
    cameFor: slip.cameFor,
    fitted: fitted.map((line, i) => (i === 0 ? line : { ...line, steps: besides(fitted[0]!.steps, line.steps) })),
    otherLines: slip.lines
      .filter((line) => line.partKind !== 'plug' && line.verdict !== 'refuse')
      .map(({ printed, maker, quantity }) => ({ printed, maker, quantity })),
    options: judged ? optionsOf(judged, new Set(plugs.map(({ partId }) => partId))) : [],
    countsIn: judged ? countsIn(judged.positions) : 'distance',
    stays: judged?.positions[0] ? [...staysWithWorkshop(judged.positions[0].sheet)] : [],
    doNotFit: refused.map(({ printed, reason }) => ({ printed, why: reason })),
    access: notes.filter(({ about }) => about === 'access').map(({ says }) => says),
    cautions: engine.cautions,
    notVerified: [
      ...plugs.flatMap(({ printed, quantity, setUp, gaps }) =>
        setUpPoints({ quantity, figures: setUp, gaps }, say).map(({ says }) => `${printed}: ${says}`),
      ),
      ...slip.open.map(({ says }) => says),
    ],
  };
}
