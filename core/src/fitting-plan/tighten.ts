import { listed } from '../words/counted.ts';
import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { GENERAL_TORQUES, HEAD_METALS, type HeadMetal, type TorqueRange } from '../quantities/general-torques.ts';
import { settleTorque, statementsIn, type MakersTorque, type TorqueAnswer } from '../torque/settle-torque.ts';
import { sayTurn, settleTurn } from '../torque/settle-turn.ts';
import type { TorqueStatement } from '../facts/torque-statements.ts';

/** Nut factors, dry and with compound: the same clamp needs so much less torque. Torque: Settling sources. */
const DRY = 0.2;
const WITH_COMPOUND = 0.13;

/** The general table's torque for a plug, in the column of the head's own metal; both where that is not known. */
function generalTorques(
  position: FactSheet,
  plug: FactSheet,
): readonly (TorqueRange & { readonly metal: HeadMetal })[] {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  const row = GENERAL_TORQUES.find(
    (one) => one.threadMm === threadMm && one.seat === (seat === 'taper' ? 'taper' : 'gasket'),
  );
  if (seat === undefined || row === undefined) return [];
  const metal = rulingValue(position, 'position.headMetal');
  return HEAD_METALS.filter((one) => metal === undefined || one === metal).map((one) => ({
    metal: one,
    ...(one === 'aluminium' ? row.aluminium : row.castIron),
  }));
}

const METAL_WORDS: Readonly<Record<HeadMetal, string>> = { aluminium: 'aluminium head', 'cast-iron': 'iron head' };

const FROM_WORDS = {
  both: 'what engine maker and plug maker have in common',
  'engine-maker': 'the engine maker’s',
  'plug-maker': 'the plug maker’s; the engine maker’s is not known',
} as const;

const SETTLED_WORDS = { newer: 'the newer sheet', overlap: 'what its sheets share', lower: 'the lower of its sheets' };

function sayMakers(
  who: string,
  makers: MakersTorque | undefined,
  sheets: readonly TorqueStatement[],
  say: Say,
): string {
  if (!makers) return '';
  const printed = listed(sheets.map((sheet) => say.span('plug-torque', { low: sheet.lowNm, high: sheet.highNm })));
  return ` ${who} says ${printed}${makers.settledBy ? ` (${SETTLED_WORDS[makers.settledBy]} counts)` : ''}.`;
}

/** Whether compound goes on these threads: never on plated ones, and not said where plating is not known. */
export function compoundOn({ rules }: SettledRules, plug: FactSheet): 'dry' | 'compound' | 'by-thread' {
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

function sayTorque(answer: TorqueAnswer, metalWords: string, settled: SettledRules, plug: FactSheet, say: Say): string {
  const { lowNm, highNm, aimNm } = answer;
  const told = (share: number) =>
    `${say.span('plug-torque', { low: lowNm * share, high: highNm * share })}${metalWords}, aim at ${say.quantity('plug-torque', aimNm * share)}`;
  const compound = compoundOn(settled, plug);
  // Only a dry figure is ever cut: one that was meant with compound, or does not say, is told as it stands.
  if (compound === 'dry' || answer.condition !== 'dry') {
    const stands =
      compound === 'dry'
        ? ''
        : answer.condition === 'with-compound'
          ? ' The sheet means it with compound.'
          : ' Its sheet does not say whether dry or with compound: it is not cut.';
    return `${told(1)}, once, smoothly.${stands}`;
  }
  const cut = WITH_COMPOUND / DRY;
  return compound === 'compound'
    ? `${told(cut)}: a third less for the compound; once, smoothly.`
    : `${told(1)} dry, ${told(cut)} where compound is on, once, smoothly.`;
}

/**
 * How far a plug is tightened here: by the makers' own torques brought to one, else by the general table for the head's
 * metal; by turn where the shop does so or no wrench reaches. Torque: Turns.
 */
export function sayTightening(position: FactSheet, plug: FactSheet, settled: SettledRules, say: Say): string {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  if (seat === undefined || threadMm === undefined)
    return 'How far to tighten is not known: look up the plug’s thread and seat.';
  const noWrench = rulingValue(position, 'position.wrenchReaches') === false;
  if (noWrench || settled.rules.tightening === 'angle') {
    const turn = settleTurn(statementsIn(position['position.turn']), statementsIn(plug['plug.turn']), {
      isTaper: seat === 'taper',
      threadMm,
    });
    const by = { 'plug-maker': 'The plug maker’s', 'engine-maker': 'The engine maker’s', usual: 'The usual turn' }[
      turn.by
    ];
    const beside = turn.beside.length > 0 ? ` The engine maker says ${turn.beside.map(sayTurn).join(', ')}.` : '';
    const why = noWrench ? 'No wrench reaches here, so by turn: ' : 'By turn: ';
    return `${why}${turn.governs.map(sayTurn).join(', ')}. ${by}.${beside}`;
  }
  const engineSheets = statementsIn(position['position.torque']);
  const plugSheets = statementsIn(plug['plug.torque']);
  const ofMakers = settleTorque(engineSheets, plugSheets, undefined);
  if (ofMakers) {
    const from = FROM_WORDS[ofMakers.from as keyof typeof FROM_WORDS];
    const conflict = ofMakers.conflict
      ? ' The two makers’ figures have nothing in common: the half of the engine maker’s that is nearer the plug maker’s.'
      : ` Torque is ${from}.`;
    const isPlain = from !== FROM_WORDS.both && engineSheets.length + plugSheets.length === 1;
    const sources = isPlain
      ? ''
      : `${sayMakers('The engine maker', ofMakers.ofEngine, engineSheets, say)}${sayMakers('The plug maker', ofMakers.ofPlug, plugSheets, say)}`;
    return `${sayTorque(ofMakers, '', settled, plug, say)}${conflict}${sources}`;
  }
  const general = generalTorques(position, plug);
  if (general.length === 0) return 'No general torque for this thread: the engine maker’s figure.';
  const each = general.map(({ metal, ...range }) =>
    sayTorque(settleTorque([], [], range)!, ` in an ${METAL_WORDS[metal]}`, settled, plug, say),
  );
  const unknown = general.length > 1 ? ' What the head is made of is not known: take the lower.' : '';
  return `${each.join(' ')} General table.${unknown}`;
}
