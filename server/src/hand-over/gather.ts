import { readDuty } from '@brackenfell/core/duty/duty-text';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { isPartKind, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { otherWork } from '@brackenfell/core/fitting-plan/other-work';
import type { Fastener } from '@brackenfell/core/kit/fasteners';
import { kitList, type KitItem } from '@brackenfell/core/kit/kit-list';
import { lubricants } from '@brackenfell/core/kit/lubricants';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { staysWithWorkshop } from '@brackenfell/core/service-plan/home-or-workshop';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import { deskOf, setUpPoints } from '@brackenfell/core/set-up/set-up-points';
import type { HandOver } from '@brackenfell/contract/hand-over';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readKitsFor } from '../catalogue/shelf-store.ts';
import { findEngine, readProcedures } from '../engine/store.ts';
import { readServed, readVehicle } from '../garage-book/store.ts';
import { readFound, type FoundHere } from '../reading/store.ts';
import { ticksOf, ticksOfLine, type TickRow } from './tick-store.ts';
import { optionsOf } from './options.ts';
import { countsIn } from '../tray/cost.ts';
import { judgeAlone, planOf, stepView, type JudgedAlone } from '../tray/fitting-plan.ts';
import { judgePlugs, type JudgedEngine } from '../tray/judge-plugs.ts';
import { fastenersIn, handledHere, offersFor } from './shelf.ts';

type Fitted = HandOver['fitted'][number];
/** Before it is known what the shop sells for it. */
type Worked = Omit<Fitted, 'kit'> & { readonly kit: readonly KitItem[] };

/** Of the tray, so many are looked at for what is cheapest over the years. */
const LOOKED_AT = 24;

/** A coil, lead set, cap or rotor that goes on the engine. */
const isOtherFitted = (line: SlipLine): line is SlipLine & { partKind: Exclude<PartKind, 'plug'> } =>
  isPartKind(line.partKind) && line.partKind !== 'plug' && line.verdict !== null && line.verdict !== 'refuse';

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
  readonly fasteners: readonly Fastener[];
  readonly ticks: readonly TickRow[];
}

/** A line whose work nothing is known of yet. */
const workedLine = (line: SlipLine, ticks: readonly TickRow[]): Worked => ({
  lineId: line.lineId,
  printed: line.printed,
  maker: line.maker,
  quantity: line.quantity,
  isOwn: line.kind === 'customers-own',
  figures: [],
  gaps: [],
  steps: [],
  ticks: ticksOfLine(ticks, line.lineId),
  kit: [],
  lubricants: [],
});

async function fittedLine(
  context: Context,
  db: Database,
  line: SlipLine,
  { engineId, slip, found, units, fasteners, ticks }: Asked,
): Promise<Worked> {
  const say = sayIn(units);
  const duty = readDuty(slip.duty) ?? {};
  const build = slip.build ?? undefined;
  const alone = await judgeAlone(context, db, { engineId, partId: line.partId, duty, build, units, found });
  return {
    ...workedLine(line, ticks),
    figures: figuresOf(line, say),
    gaps: gapsOf(line, say),
    steps: alone ? (await planOf(db, alone, units)).steps : [],
    kit: alone ? [...kitFor(alone, line.quantity, fasteners, say)] : [],
    lubricants: alone ? [...lubricantsOf(alone)] : [],
  };
}

/** The work on a part that is no plug, each kind by its own order. */
async function otherWorkOn(
  db: Database,
  line: SlipLine & { readonly partKind: Exclude<PartKind, 'plug'> },
  { ruling, positions, engine }: JudgedEngine,
  { found, ticks }: Asked,
): Promise<Worked> {
  const places = positions.map(({ label, sheet }) => ({
    label,
    sheet: ruling.apply(withReadings(sheet, found.ofVehicle)),
  }));
  const [first] = places;
  const steps =
    first === undefined
      ? []
      : otherWork(line.partKind, first.sheet, ruling.settle(first.sheet), await readProcedures(db, engine.id), places);
  return { ...workedLine(line, ticks), steps: steps.map(stepView) };
}

const lubricantsOf = ({ judged, candidate, places }: JudgedAlone) =>
  lubricants(places[0].sheet, candidate.sheet, judged.ruling.settle(places[0].sheet, candidate.sheet));

/** What a vehicle of the garage book had run when it was read last, in km; undefined for what counts hours or was never read. */
async function distanceOf(db: Database, slip: Slip): Promise<number | undefined> {
  if (!slip.garage) return undefined;
  const vehicle = await readVehicle(db, slip.garage.vehicleId);
  if (vehicle?.counts_in !== 'distance') return undefined;
  const readings = await readServed(db, [vehicle.id]);
  return readings.at(-1)?.served;
}

function kitFor(
  { judged, candidate, places }: JudgedAlone,
  quantity: number,
  fasteners: Asked['fasteners'],
  say: Say,
): ReturnType<typeof kitList> {
  const position = places[0].sheet;
  const plug = candidate.sheet;
  return kitList({ position, plug, settled: judged.ruling.settle(position, plug), quantity, fasteners }, say);
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
  const judged = await judgePlugs(
    context,
    { engineId, build: slip.build ?? undefined, duty: readDuty(slip.duty) ?? {}, found, most: LOOKED_AT },
    units,
    db,
  );
  const asked = { engineId, slip, found, units, fasteners: fastenersIn(engine.notes, say), ticks };
  const plugs = slip.lines.filter(isFitted);
  const others = slip.lines.filter(isOtherFitted);
  const worked = await Promise.all([
    ...plugs.map((line) => fittedLine(context, db, line, asked)),
    ...(judged ? others.map((line) => otherWorkOn(db, line, judged, asked)) : []),
  ]);
  const offers = await offersFor(
    db,
    [...worked.flatMap(({ kit }) => kit.map(({ use }) => use)), ...engine.notes.map(({ use }) => use)],
    slip,
  );
  const fitted = worked.map(({ kit, ...line }) => ({
    ...line,
    kit: kit.map(({ use, ...item }) => ({ ...item, offers: offers(use) })),
  }));
  const [distanceKm, kits] = await Promise.all([distanceOf(db, slip), readKitsFor(db, engineId)]);
  const refused = slip.lines.filter(({ verdict }) => verdict === 'refuse');
  return {
    docket: slip.docket,
    customer: slip.customer,
    vehicle: slip.vehicle,
    engine: `${engine.maker} ${engine.code}`,
    cameFor: slip.cameFor,
    fitted: fitted.map((line, i) => (i === 0 ? line : { ...line, steps: besides(fitted[0]!.steps, line.steps) })),
    ...handledHere(engine.notes, slip, distanceKm, offers, say),
    kits,
    otherLines: slip.lines
      .filter((line) => line.verdict !== 'refuse' && !worked.some(({ lineId }) => lineId === line.lineId))
      .map(({ printed, maker, quantity }) => ({ printed, maker, quantity })),
    options: judged ? optionsOf(judged, new Set(plugs.map(({ partId }) => partId))) : [],
    countsIn: judged ? countsIn(judged.positions) : 'distance',
    stays: judged?.positions[0] ? [...staysWithWorkshop(judged.positions[0].sheet)] : [],
    doNotFit: refused.map(({ printed, reason }) => ({ printed, why: reason })),
    access: engine.notes.filter(({ about }) => about === 'access').map(({ says }) => says),
    cautions: engine.cautions,
    notVerified: [
      ...plugs.flatMap(({ printed, quantity, setUp, gaps }) =>
        setUpPoints({ quantity, figures: setUp, gaps }, say).map(({ says }) => `${printed}: ${says}`),
      ),
      ...slip.open.map(({ says }) => says),
    ],
  };
}
