import { rulingValue, type FactSheet, type Sourced } from '../facts/facts.ts';
import type { TorqueStatement } from '../facts/torque-statements.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { GENERAL_TORQUES, HEAD_METALS, type HeadMetal, type TorqueRange } from '../quantities/general-torques.ts';
import { plausibleRange } from '../quantities/plausible-ranges.ts';
import { cutFor } from './compound.ts';
import { settleOneMaker, settleTorque, statementsIn, type TorqueAnswer } from './settle-torque.ts';
import { settleTurn, type TurnAnswer } from './settle-turn.ts';
import { swappedUnits } from './swapped-units.ts';

export type TorqueVoice = 'engine-maker' | 'plug-maker' | 'general-table';

/** One figure that is shown, whether or not it counts. */
export interface TorqueSource {
  readonly who: TorqueVoice;
  readonly name: string;
  readonly statement: TorqueStatement;
  /** The column of the general table it is from. */
  readonly metal?: HeadMetal;
  /** Set aside: another sheet of the same maker counts, or a maker speaks and the table does not. */
  readonly counts: boolean;
}

/** A figure that is asked about before it is used. */
export type TorqueQuestion =
  /** Two figures lie apart as two units do. */
  | { readonly kind: 'swapped'; readonly between: readonly [TorqueSource, TorqueSource]; readonly says: string }
  /** One that this thread does not take in this metal. */
  | { readonly kind: 'implausible'; readonly source: TorqueSource; readonly usual: TorqueRange };

/** Whether compound goes on the threads here; by-thread where the plug's plating is not known. */
export type CompoundHere = 'dry' | 'compound' | 'by-thread';

/** Everything that is known of how far a plug is tightened at a place. Torques in N·m as the sheets mean them. */
export interface TorqueDesk {
  readonly sources: readonly TorqueSource[];
  /** Undefined where neither a maker nor the table speaks. From the table with the metal unknown: its lower column. */
  readonly answer: TorqueAnswer | undefined;
  /** Known at the place; undefined: both columns are told and the lower is used. */
  readonly headMetal: HeadMetal | undefined;
  readonly questions: readonly TorqueQuestion[];
  readonly compound: CompoundHere;
  /** Compound goes on the shank above the threads, and nowhere else. */
  readonly onShank: boolean;
  /** Of the answer, with compound on the thread; 1 where it is not cut. */
  readonly compoundShare: number;
  readonly method: 'wrench' | 'no-wrench-reaches' | 'by-angle-here';
  /** Undefined where seat or thread is not known. */
  readonly turn: TurnAnswer | undefined;
}

/** Whether compound goes on these threads: never on plated ones, and not said where plating is not known. */
export function compoundOn({ rules }: Pick<SettledRules, 'rules'>, plug: FactSheet): CompoundHere {
  const plating = rulingValue(plug, 'plug.plating');
  if (plating !== undefined && plating !== 'none') return 'dry';
  switch (rules.threadCompound) {
    case 'always-reduced':
      return 'compound';
    case 'bare-threads':
      return plating === 'none' ? 'compound' : 'by-thread';
    case 'never':
    case 'shank-only':
      return 'dry';
  }
}

/** The general table's torques for a plug, in the column of the head's own metal; both where that is not known. */
function generalSources(position: FactSheet, plug: FactSheet, counts: boolean): TorqueSource[] {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  const row = GENERAL_TORQUES.find(
    (one) => one.threadMm === threadMm && one.seat === (seat === 'taper' ? 'taper' : 'gasket'),
  );
  if (seat === undefined || row === undefined) return [];
  const metal = rulingValue(position, 'position.headMetal');
  return HEAD_METALS.filter((one) => metal === undefined || one === metal).map((one) => ({
    who: 'general-table',
    name: 'General table',
    statement: { ...(one === 'aluminium' ? row.aluminium : row.castIron), condition: 'dry' },
    metal: one,
    // Metal unknown: the lower column is used. Torque: General table.
    counts: counts && (metal !== undefined || one === 'aluminium'),
  }));
}

const mid = ({ lowNm, highNm, nominalNm }: TorqueStatement): number => nominalNm ?? (lowNm + highNm) / 2;

function makersSources(who: TorqueVoice, stated: readonly Sourced<TorqueStatement>[]): TorqueSource[] {
  const settled = settleOneMaker(stated.map(({ value }) => value));
  const isSetAside = ({ lowNm, highNm }: TorqueStatement) =>
    settled?.settledBy !== undefined &&
    settled.settledBy !== 'overlap' &&
    (lowNm !== settled.lowNm || highNm !== settled.highNm);
  return stated.map(({ value, source }) => ({
    who,
    name: source.name,
    statement: value,
    counts: !isSetAside(value),
  }));
}

function questionsOf(sources: readonly TorqueSource[], position: FactSheet, plug: FactSheet): TorqueQuestion[] {
  const ofMakers = sources.filter(({ who }) => who !== 'general-table');
  const swapped = ofMakers.flatMap((one, i) =>
    ofMakers.slice(i + 1).flatMap((other): TorqueQuestion[] => {
      const smell = swappedUnits(mid(one.statement), mid(other.statement));
      return smell ? [{ kind: 'swapped', between: [one, other], says: smell.says }] : [];
    }),
  );
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  const seat = rulingValue(plug, 'plug.seat');
  if (threadMm === undefined) return swapped;
  const headMetal = rulingValue(position, 'position.headMetal');
  const { low, high } = plausibleRange('plug-torque', {
    threadMm,
    ...(seat === undefined ? {} : { seat: seat === 'taper' ? 'taper' : 'gasket' }),
    ...(headMetal === undefined ? {} : { headMetal }),
  });
  const implausible = ofMakers
    .filter(({ statement }) => statement.lowNm < low - 1e-9 || statement.highNm > high + 1e-9)
    .map((source): TorqueQuestion => ({ kind: 'implausible', source, usual: { lowNm: low, highNm: high } }));
  return [...swapped, ...implausible];
}

/** How far a plug is tightened here, with every source, what is odd about them, and the method that reaches. Torque: Settling sources. */
export function torqueDesk(position: FactSheet, plug: FactSheet, settled: Pick<SettledRules, 'rules'>): TorqueDesk {
  const [engine, ofPlug] = [position['position.torque']?.ruling ?? [], plug['plug.torque']?.ruling ?? []];
  const makersSpeak = engine.length + ofPlug.length > 0;
  const general = generalSources(position, plug, !makersSpeak);
  const table = general.find(({ counts }) => counts)?.statement;
  const answer = settleTorque(
    statementsIn(position['position.torque']),
    statementsIn(plug['plug.torque']),
    table && { lowNm: table.lowNm, highNm: table.highNm },
  );
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  const compound = compoundOn(settled, plug);
  const sources = [...makersSources('engine-maker', engine), ...makersSources('plug-maker', ofPlug), ...general];
  return {
    sources,
    answer,
    headMetal: rulingValue(position, 'position.headMetal'),
    questions: questionsOf(sources, position, plug),
    compound,
    onShank: compound === 'dry' && settled.rules.threadCompound === 'shank-only',
    // Only a dry figure is ever cut: one that was meant with compound, or does not say, stands as it is.
    compoundShare: compound !== 'dry' && answer?.condition === 'dry' ? cutFor('anti-seize') : 1,
    method:
      rulingValue(position, 'position.wrenchReaches') === false
        ? 'no-wrench-reaches'
        : settled.rules.tightening === 'angle'
          ? 'by-angle-here'
          : 'wrench',
    turn:
      seat === undefined || threadMm === undefined
        ? undefined
        : settleTurn(statementsIn(position['position.turn']), statementsIn(plug['plug.turn']), {
            isTaper: seat === 'taper',
            threadMm,
          }),
  };
}
