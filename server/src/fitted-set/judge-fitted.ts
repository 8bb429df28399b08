import type { Duty } from '@brackenfell/core/duty/duty';
import { listed } from '@brackenfell/core/words/counted';
import { FACTS, type FactId, type FactSheet } from '@brackenfell/core/facts/facts';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { oddOneOut } from '@brackenfell/core/fitted-set/odd-one-out';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { FittedSet } from '@brackenfell/contract/fitted-set';
import { readPartSheets, readPartTitles } from '../catalogue/fact-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { listPositions } from '../engine/store.ts';
import { printFact } from '../part/print-fact.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import type { JudgedCandidate } from '../tray/judge-plugs.ts';
import { readNumbers } from './store.ts';

interface Question {
  readonly engineId: string;
  readonly kind: 'plug' | 'coil';
  /** By position, in their order; empty where nothing was looked at. */
  readonly numbers: readonly string[];
  readonly duty: Duty;
  readonly build?: string | undefined;
  readonly units: UnitDisplay;
}

type Part = NonNullable<FittedSet['usual']>;
type Repair = NonNullable<FittedSet['repair']>;

const SELLABLE = ['sell', 'sell-with-advice'];
const MOST_DIFFERENCES = 8;

/** Judges what is fitted, place by place. Undefined without such an engine, or where it takes no such part. */
export async function judgeFitted(context: Context, db: Database, asked: Question): Promise<FittedSet | undefined> {
  const { engineId, kind, duty, build, units } = asked;
  const stations = await listPositions(db, [engineId], [kind]);
  const places = [...new Map(stations.map((station) => [station.label, station])).entries()];
  if (places.length === 0) return undefined;
  const typed = places.map((_, i) => asked.numbers[i] ?? '');
  const read = await readNumbers(db, kind, typed);
  const partOf = typed.map((number) => read.get(number)?.partId);
  const ids = [...new Set(partOf.flatMap((id) => id ?? []))];
  const held = await context.sheets.at(db);
  const [titles, sheets] = await Promise.all([readPartTitles(db, ids), readPartSheets(db, held.scales, ids)]);
  const part = (id: string): Part => {
    const { printed, maker } = titles.get(id)!;
    return { partId: id, printed, maker };
  };
  const judge = async (only: readonly string[] | undefined, at: readonly string[]) =>
    (await judgeEngine(context, { kind, engineId, duty, build, at, ...(only ? { only } : {}), most: 1 }, units, db))
      ?.candidates ?? [];

  const positions = await Promise.all(
    places.map(async ([label, { cylinder, place }], i) => {
      const id = partOf[i];
      const [judged] = id === undefined ? [] : await judge([id], [label]);
      return {
        label,
        cylinder,
        place,
        typed: typed[i]!,
        part: id === undefined ? null : part(id),
        ...verdictOf(judged, typed[i]!),
      };
    }),
  );
  // Intake and exhaust, front and rear may each take their own part: a stranger is one among its own place's.
  const groups = [...new Set(positions.map(({ place }) => place))].map((place) =>
    oddOneOut(positions.filter((p) => p.place === place).map((p) => ({ label: p.label, part: p.part?.partId }))),
  );
  const strange = new Set(groups.flatMap(({ odd }) => odd));
  const missing = groups.flatMap((group) => group.missing);
  const { usual, odd } =
    groups.find((group) => group.odd.length > 0) ?? groups.find((group) => group.usual) ?? groups[0]!;
  const strangers = [...new Set(positions.filter(({ label }) => odd.includes(label)).map((p) => p.part!.partId))];
  return {
    kind,
    positions: positions.map(({ place: _, ...p }) => ({ ...p, odd: strange.has(p.label) })),
    usual: usual === undefined ? null : part(usual),
    odd: [...strange],
    missing,
    says: say(kind, odd, usual !== undefined, positions.length - missing.length, groups.length),
    differences:
      usual === undefined
        ? []
        : strangers.flatMap((id) => differences(sheets.get(usual)!, sheets.get(id)!, part(id).printed, sayIn(units))),
    repair: await repairOf(
      judge,
      kind,
      odd,
      usual === undefined ? undefined : part(usual),
      places.map(([label]) => label),
    ),
  };
}

function verdictOf(judged: JudgedCandidate | undefined, typed: string) {
  if (judged) {
    const { findings, verdict } = judged.judgement;
    return { verdict, reason: reasonPhrase(findings, verdict, judged.evidence) };
  }
  return {
    verdict: null,
    reason: typed === '' ? 'Not looked at' : 'No part of this catalogue, or several, by that number',
  };
}

/** What it means, in words that say how many and which. */
function say(
  kind: Question['kind'],
  odd: readonly string[],
  hasUsual: boolean,
  entered: number,
  groups: number,
): string {
  if (entered === 0) return 'Nothing entered yet: read what is printed on each, or scan it.';
  if (odd.length === 0 && groups > 1)
    return `No stranger among the ${entered} entered, each beside its own kind of place.`;
  if (odd.length === 0) return entered === 1 ? 'One entered.' : `All ${entered} entered are one and the same.`;
  const does =
    kind === 'plug'
      ? 'cylinders that light and cool differently shake the engine, and the control unit corrects all of them for one.'
      : 'coils that charge differently shake the engine and set codes.';
  if (!hasUsual) return `No two of them belong together for certain: ${does}`;
  const one = kind === 'plug' ? 'Plug' : 'Coil';
  const who = odd.length === 1 ? `${one} ${odd[0]!} only differs` : `${one}s ${listed(odd)} differ`;
  return `${who} from the rest: ${does}`;
}

/** Facts of which both are known and differ, in the order of the hand. */
function differences(usual: FactSheet, other: FactSheet, printed: string, words: Say): FittedSet['differences'] {
  return (Object.keys(FACTS) as FactId[])
    .flatMap((fact) => {
      const [a, b] = [usual[fact]?.ruling[0]?.value, other[fact]?.ruling[0]?.value];
      if (a === undefined || b === undefined || fact === 'plug.printedNumbers') return [];
      const [mine, theirs] = [printFact(fact, a, words), printFact(fact, b, words)];
      return mine === theirs ? [] : [{ fact: FACTS[fact].label, usual: mine, other: theirs, printed }];
    })
    .slice(0, MOST_DIFFERENCES);
}

/** The usual part for the strangers' places, if it may be sold there; otherwise a whole set of what heads the tray. */
async function repairOf(
  judge: (only: readonly string[] | undefined, at: readonly string[]) => Promise<readonly JudgedCandidate[]>,
  kind: Question['kind'],
  odd: readonly string[],
  usual: Part | undefined,
  everywhere: readonly string[],
): Promise<Repair | null> {
  if (odd.length === 0) return null;
  const [same] = usual ? await judge([usual.partId], odd) : [];
  if (usual && same && SELLABLE.includes(same.judgement.verdict)) {
    const says = `${odd.length} × ${usual.printed} makes the set whole; the others are as worn as they are.`;
    return { part: usual, quantity: odd.length, at: [...odd], says };
  }
  const [best] = await judge(undefined, everywhere);
  if (!best || !SELLABLE.includes(best.judgement.verdict)) return null;
  const { id, printed, maker } = best.part;
  const set = kind === 'plug' ? 'set' : 'set of coils';
  return {
    part: { partId: id, printed, maker },
    quantity: best.servedAt.length,
    at: [...best.servedAt],
    says: `What most of them hold is not for this engine: a whole ${set} of ${printed}.`,
  };
}
