import { proofReferences } from '@brackenfell/demo/proof/references';
import { chance, type Chance } from '@brackenfell/demo/large/random';
import type { EvidenceItem } from '@brackenfell/core/authenticity/evidence';
import { judgePiece, type Band } from '@brackenfell/core/authenticity/judge-piece';
import { itemOf, nextChecks } from '@brackenfell/core/authenticity/next-check';
import { CHANNEL_PRIORS, type Channel } from '@brackenfell/core/authenticity/prior';
import type { Tell, TellAnswer } from '@brackenfell/core/authenticity/tell';

const PIECES = 10_000;
const SEED = 20_261_125;
const PARTS_IN = 1_000_000;

/** How much of what comes over the counter comes by each way: this counter's guess. */
const MIX: readonly (readonly [Channel, number])[] = [
  ['depot', 0.2],
  ['wholesale', 0.5],
  ['clearance', 0.2],
  ['marketplace', 0.1],
];

/** How the world differs from what the references state, as factors on the chance to differ. */
interface World {
  readonly name: string;
  readonly onGenuine: number;
  readonly onFake: number;
}
const WORLDS: readonly World[] = [
  { name: 'as stated', onGenuine: 1, onFake: 1 },
  { name: 'genuine differ twice as often', onGenuine: 2, onFake: 1 },
  { name: 'fakes differ half as often', onGenuine: 1, onFake: 0.5 },
  { name: 'both', onGenuine: 2, onFake: 0.5 },
];

/** `everything` looks at all tells whatever they say: what more looking could bring. */
const ORDERS = ['next best', 'as listed', 'everything'] as const;
type Order = (typeof ORDERS)[number];

interface Piece {
  readonly isFake: boolean;
  readonly channel: Channel;
  readonly tells: readonly Tell[];
  readonly answers: ReadonlyMap<string, TellAnswer>;
}

const happens = (dice: Chance, probability: number): boolean => dice.below(PARTS_IN) < probability * PARTS_IN;

/** A channel as it occurs among fake, or among genuine pieces. */
function drawChannel(dice: Chance, isFake: boolean): Channel {
  const weights = MIX.map(([channel, share]) => {
    const fake = CHANNEL_PRIORS[channel].share;
    return share * (isFake ? fake : 1 - fake);
  });
  let left = (dice.below(PARTS_IN) / PARTS_IN) * weights.reduce((a, b) => a + b, 0);
  for (const [i, weight] of weights.entries()) if ((left -= weight) < 0) return MIX[i]![0];
  return MIX.at(-1)![0];
}

/** Every second piece is fake; what each tell would show of it is drawn once, whatever is then looked at. */
function drawPieces({ onGenuine, onFake }: World): Piece[] {
  const dice = chance(SEED);
  return Array.from({ length: PIECES }, (_, i) => {
    const isFake = i % 2 === 1;
    const tells = dice.pick(proofReferences).content.tells;
    const answers = new Map<string, TellAnswer>();
    for (const tell of tells) {
      const stated = isFake ? tell.differs.ifFake * onFake : tell.differs.ifGenuine * onGenuine;
      const differs = happens(dice, Math.min(0.95, stated));
      answers.set(tell.id, happens(dice, tell.seen) ? (differs ? 'differs' : 'genuine-like') : 'cannot-see');
    }
    return { isFake, channel: drawChannel(dice, isFake), tells, answers };
  });
}

interface Course {
  readonly band: Band;
  readonly checks: number;
  readonly minutes: number;
}

/** Looks until the piece is consistent or suspect, or everything was looked at. */
function inspect({ channel, tells, answers }: Piece, order: Order): Course {
  const prior = CHANNEL_PRIORS[channel].share;
  const seen: EvidenceItem[] = [];
  let open = [...tells];
  let [checks, minutes] = [0, 0];
  for (;;) {
    const { band } = judgePiece(prior, seen);
    const next = order === 'next best' ? nextChecks(prior, seen, open)[0]?.tell : open[0];
    const isClear = order !== 'everything' && (band === 'consistent' || band === 'suspect');
    if (isClear || !next) return { band, checks, minutes };
    open = open.filter((tell) => tell !== next);
    seen.push(itemOf(next, answers.get(next.id)!));
    checks += 1;
    minutes += next.minutes;
  }
}

const medianOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const percent = (count: number, of: number): string => `${((count / of) * 100).toFixed(1)}%`;

function report(world: World, order: Order): string {
  const pieces = drawPieces(world);
  const courses = pieces.map((piece) => ({ isFake: piece.isFake, ...inspect(piece, order) }));
  const genuine = courses.filter(({ isFake }) => !isFake);
  const fake = courses.filter(({ isFake }) => isFake);
  const share = (of: typeof courses, band: Band) => percent(of.filter((one) => one.band === band).length, of.length);
  const median = (of: typeof courses, what: 'checks' | 'minutes') => medianOf(of.map((one) => one[what]));
  return [
    world.name,
    order,
    share(genuine, 'consistent'),
    share(genuine, 'suspect'),
    share(fake, 'suspect'),
    share(fake, 'consistent'),
    share(fake, 'not-proven'),
    `${median(genuine, 'checks')} / ${median(genuine, 'minutes').toFixed(1)}`,
    `${median(fake, 'checks')} / ${median(fake, 'minutes').toFixed(1)}`,
  ].join(' | ');
}

console.log(`${PIECES} pieces, half of them fake, seed ${SEED}; looked at until consistent or suspect.`);
console.log(
  '| world | order | genuine: consistent | genuine called suspect | fake: suspect | fake called consistent | fake: not proven | genuine, median checks / minutes | fake, median checks / minutes |',
);
console.log(`|${' --- |'.repeat(9)}`);
for (const world of WORLDS) for (const order of ORDERS) console.log(`| ${report(world, order)} |`);
