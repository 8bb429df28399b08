import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CAUSES } from '../old-parts/causes.ts';
import { SIGN_IDS, type SignId } from '../old-parts/signs.ts';
import { sayIn } from '../fitment/say.ts';
import type { Verdict } from '../fitment/verdict.ts';
import { foldKey } from '../part-numbers/fold-key.ts';
import type { NumberGrammar } from '../part-numbers/grammar.ts';
import { PLUG_CHECKS } from '../plugs/plug-checks.ts';
import { scale } from '../testing/any-sheet.ts';
import type { Draw, DrillCase } from './drill-case.ts';
import { gapUnitsCase, torqueCase } from './figure-cases.ts';
import { oneCheckCase } from './one-check-case.ts';
import { verdictCase, type JudgedPart } from './verdict-case.ts';
import { heatCase, numberCase, wornCase } from './number-cases.ts';
import { oldPlugCase } from './old-plug-cases.ts';
import { tellCase } from './tell-cases.ts';
import { byNeed, pointsOf, progressOf } from './progress.ts';

const say = sayIn('metric');
/** Chance that a failing run can deal again. */
const chance = fc
  .array(fc.double({ min: 0, max: 1, maxExcluded: true, noNaN: true }), { minLength: 300, maxLength: 300 })
  .map((of): Draw => {
    let at = 0;
    return () => of[at++ % of.length]!;
  });
const grammar: NumberGrammar = {
  maker: 'example',
  title: 'Example code: reach, seat',
  significant: '',
  fields: [
    {
      id: 'reach',
      title: 'reach',
      of: 'digits',
      least: 2,
      most: 2,
      means: { kind: 'cut-off', fact: 'plug.reachMm', unitMm: 1, says: 'reach # mm' },
    },
    {
      id: 'seat',
      title: 'seat',
      of: 'letters',
      least: 1,
      most: 1,
      means: { kind: 'codes', codes: { G: { says: 'gasket' }, T: { says: 'taper' }, L: { says: 'loose gasket' } } },
    },
  ],
};
const NUMBERS = ['16-G', '18-T', '19-G', '26-L'].map((printed) => ({ printed, grammar }));
const REFERENCE = {
  title: 'Example, white box',
  tells: ['Print', 'Crown', 'Chamfer', 'Weld'].map((title) => ({
    title,
    look: `Look at the ${title.toLowerCase()}.`,
    genuine: 'as it should be',
    suspect: 'otherwise',
  })),
};
const finding = PLUG_CHECKS[1]!.ask({}, say);
const plug = (verdict: Verdict): JudgedPart => ({
  engine: 'Example',
  part: `EX ${verdict}`,
  findings: [{ ...finding, onlyAt: [] }],
  verdict,
  evidence: { named: false, listed: true },
});
const rightOf = (one: DrillCase): string => one.choices.find(({ id }) => id === one.right)!.says;
const numberIn = (text: string): number[] => [...text.matchAll(/\d+(?:\.\d+)?/g)].map(([digits]) => Number(digits));

describe('a practice case', () => {
  test.each<[string, (draw: Draw) => DrillCase | undefined]>([
    ['one check', (draw) => oneCheckCase(draw, say)],
    ['a verdict', (draw) => verdictCase([plug('sell'), plug('refuse')], draw)],
    ['heat', (draw) => heatCase([scale], draw)],
    ['a number', (draw) => numberCase(NUMBERS.slice(0, 1), draw)],
    ['a worn stamping', (draw) => wornCase(NUMBERS, draw)],
    ['tells', (draw) => tellCase([REFERENCE], draw)],
    ['gaps in units', gapUnitsCase],
    ['torque', (draw) => torqueCase(draw, say)],
    ['old plugs', oldPlugCase],
  ])('%s: one of its answers is right, no two say the same, and the reason is told', (_, deal) => {
    fc.assert(
      fc.property(chance, (draw) => {
        const dealt = deal(draw)!;
        const says = dealt.choices.map((choice) => choice.says);
        expect(new Set(says).size).toBe(says.length);
        expect(says.length).toBeGreaterThan(1);
        expect(dealt.choices.filter(({ id }) => id === dealt.right)).toHaveLength(1);
        expect(dealt.why[0]).toMatch(/\w/);
      }),
    );
  });

  test('one check asks every check of a plug sooner or later, and never what is not known', () => {
    const asked = new Map<string, Set<string>>();
    for (let i = 0; i < 480; i += 1) {
      let at = i;
      // Spread over checks, then over their outcomes, then over their examples.
      const dealt = oneCheckCase(() => ((at = (at * 7 + 3) % 480), at / 480), say)!;
      const title = dealt.rows[0]!.title;
      asked.set(title, new Set([...(asked.get(title) ?? []), dealt.right]));
      expect(dealt.choices.map(({ id }) => id)).toContain(dealt.right);
      expect(dealt.rows[0]!.asked).not.toMatch(/^not known/);
    }
    expect([...asked.keys()].sort()).toEqual(PLUG_CHECKS.map(({ title }) => title).sort());
    expect(asked.get('Reach')!.size).toBeGreaterThan(1);
  });

  test('of a tray in which one plug of a hundred is refused, every other case is a refusal: nobody learns to say Sell to all', () => {
    const tray = [...Array.from({ length: 99 }, () => plug('sell')), plug('refuse')];
    const dealt = Array.from({ length: 40 }, (_, i) => verdictCase(tray, () => ((i * 2 + 1) / 80) % 1)!.right);
    expect(dealt.filter((verdict) => verdict === 'refuse')).toHaveLength(20);
  });

  test('four things to tell need the supervisor, and are named; what a listing vouches for is not among them', () => {
    const acceptable = { ...finding, outcome: 'acceptable' as const, onlyAt: [] };
    const findings = [
      ...(['length', 'gap', 'heat', 'shell'] as const).map((check) => ({ ...acceptable, check })),
      { ...acceptable, check: 'depth' as const, relief: 'listed-not-measured' as const },
    ];
    const { why } = verdictCase([{ ...plug('needs-supervisor'), findings }], () => 0)!;
    expect(why[1]).toBe('4 things to tell: Length, Gap, Heat and Shell.');
  });

  test('the right gap in thousandths is never wider than the gap in millimetres, and every wrong one is, or is another gap', () => {
    fc.assert(
      fc.property(chance, (draw) => {
        const dealt = gapUnitsCase(draw)!;
        const [low, high] = numberIn(dealt.facts[0]!.says) as [number, number];
        const widest = [Math.ceil(low / 0.0254 - 1e-6), Math.floor(high / 0.0254 + 1e-6)];
        for (const { id, says } of dealt.choices)
          expect([says, numberIn(says).join() === widest.join()]).toEqual([says, id === dealt.right]);
      }),
    );
  });

  test('a worn stamping is one real number and no other, however its worn character is read', () => {
    fc.assert(
      fc.property(chance, (draw) => {
        const dealt = wornCase(NUMBERS, draw)!;
        const stamped = foldKey(dealt.facts[0]!.says);
        for (const { id, says } of dealt.choices)
          expect([says, foldKey(says) === stamped]).toEqual([says, id === dealt.right]);
        expect(dealt.facts[0]!.says).not.toBe(rightOf(dealt));
      }),
    );
    // 8 and B fold together: which of the two it is has to be asked.
    const alike = ['8-T', 'B-T'].map((printed) => ({ printed, grammar }));
    expect(wornCase(alike, () => 0)).toBeUndefined();
  });

  test('where one number among many has something to ask, it is found', () => {
    const mute = Array.from({ length: 30 }, (_, i) => ({ printed: `X${i}`, grammar }));
    fc.assert(
      fc.property(chance, (draw) => {
        expect(numberCase([...mute, NUMBERS[0]!], draw)!.facts[0]!.says).toBe('16-G');
      }),
    );
  });

  test('what speaks against a piece is the one sign that is not as on a genuine one', () => {
    fc.assert(
      fc.property(chance, (draw) => {
        const dealt = tellCase([REFERENCE], draw)!;
        expect(dealt.choices.filter(({ says }) => says.endsWith('otherwise'))).toEqual([
          expect.objectContaining({ id: dealt.right }),
        ]);
      }),
    );
  });

  test('colder is a higher heat index on the maker’s own scale, by so many ratings', () => {
    fc.assert(
      fc.property(chance, (draw) => {
        const dealt = heatCase([scale], draw)!;
        const [, steps, way, from] = /(\d) steps? (colder|hotter) than Example (\d+)/.exec(dealt.asks)!;
        expect(Number(rightOf(dealt)) - Number(from)).toBe(Number(steps) * (way === 'colder' ? 1 : -1));
      }),
    );
  });

  test('a peened tip is a strike wherever it stands; what has to be separated first is never asked', () => {
    /** Only this sign, on the plugs that the second chance gives. */
    const dealt = (sign: SignId, where: number) => {
      let at = 0;
      return oldPlugCase(() => (at++ % 2 === 0 ? (SIGN_IDS.indexOf(sign) + 0.5) / SIGN_IDS.length : where));
    };
    for (const where of [0, 0.6, 0.99]) expect(rightOf(dealt('struck', where)!)).toBe(CAUSES.strike.title);
    // Fuel-wet on one: the spark or the injector, which a check tells apart.
    expect(dealt('fuel', 0)).toBeUndefined();
  });
});

describe('how practice stands', () => {
  const answer = (isRight: boolean, seconds = 5) => ({ topic: 'heat', isRight, seconds }) as const;

  test('right in time counts two, right later one, wrong nothing', () => {
    expect([answer(true, 10), answer(true, 11), answer(false, 1)].map(pointsOf)).toEqual([2, 1, 0]);
  });

  test('five answers tell something, the last twenty decide, and what is known is right and in time nine times of ten', () => {
    const of = (...answers: Parameters<typeof progressOf>[0]) =>
      progressOf(answers).find(({ topic }) => topic === 'heat')!;
    expect(of().standing).toBe('not-begun');
    expect(of(...Array<ReturnType<typeof answer>>(4).fill(answer(true))).standing).toBe('few');
    const known = Array<ReturnType<typeof answer>>(20).fill(answer(true));
    expect(of(...known, answer(false))).toMatchObject({ standing: 'known', of: 20, right: 20 });
    expect(of(answer(false), answer(false), answer(false), ...known).standing).toBe('practise');
    expect(of(answer(true, 3), answer(true, 30), answer(true, 9))).toMatchObject({
      typicalSeconds: 9,
      course: [2, 1, 2],
    });
  });

  test('what is practised next is what has too few answers, then what is missed most', () => {
    const many = (topic: 'heat' | 'torque', isRight: boolean) =>
      Array.from({ length: 6 }, () => ({ topic, isRight, seconds: 5 }));
    const order = byNeed(progressOf([...many('heat', true), ...many('torque', false)]));
    expect(order.at(-1)).toBe('heat');
    expect(order.at(-2)).toBe('torque');
  });
});
