import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { askNext, isSettled, outlookOf } from './ask-next.ts';
import { candidatesOf, type EngineCandidate } from './candidates.ts';
import { questionsFor } from './questions.ts';
import { contradictory, describes, readStatements, remaining, type Statement } from './statements.ts';

const engine = (code: string, more: Partial<Parameters<typeof candidatesOf>[0]> = {}): EngineCandidate[] =>
  candidatesOf({
    engineId: code.toLowerCase(),
    maker: 'Ostrel',
    code,
    visits: 10,
    traits: {},
    builds: [],
    vehicles: [],
    takes: code,
    words: code.toLowerCase(),
    ...more,
  });

const coilEach = engine('AA1', { traits: { leadsGo: 'coil-each', litres: 1.2, fuel: 'petrol' }, visits: 30 });
const pack = engine('AA2', { traits: { leadsGo: 'pack', litres: 2, fuel: 'petrol' } });
const gas = engine('AA3', { traits: { leadsGo: 'pack', litres: 2, fuel: 'gas' } });

describe('the question asked next', () => {
  test('is none when all that remain take the same parts', () => {
    const twins = [...engine('AA1', { takes: 'x' }), ...engine('AA2', { takes: 'x' })];
    expect(askNext(twins).kind).toBe('settled');
  });

  test('is never one that was answered “cannot tell”, nor one already answered', () => {
    const all = [...coilEach, ...pack, ...gas];
    const ids = (asked: string[], cannot: string[]) => {
      const next = askNext(all, asked, cannot);
      return next.kind === 'ask' ? next.best.question.id : next.kind;
    };
    expect(ids([], ['leads'])).not.toBe('leads');
    expect(ids([], ['leads', 'litres', 'fuel'])).toBe('cannot-separate');
  });

  test('says what would separate two engines when nothing still open does', () => {
    const next = askNext([...pack, ...gas], [], ['fuel']);
    expect(next.kind === 'cannot-separate' && next.would.map(({ question }) => question.id)).toEqual(['fuel', 'code']);
  });

  test('keeps an engine whose trait is not known, whatever the answer', () => {
    const unknown = engine('AA4');
    const outlook = outlookOf(
      questionsFor([]).find(({ id }) => id === 'fuel')!,
      [...pack, ...gas, ...unknown],
    )!;
    expect(outlook.answers.every(({ stay }) => stay.some(({ code }) => code === 'AA4'))).toBe(true);
    expect(outlook.answers.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1);
  });

  test('splits builds by their month and never guesses between them', () => {
    const builds = engine('AA5', {
      builds: [
        { label: 'to Aug 2016', to: '2016-08', traits: {} },
        { label: 'Sep 2016 on', from: '2016-09', traits: {} },
      ],
      vehicles: [{ make: 'Ostrel', model: 'Linnet', from: 2012, to: 2020 }],
    }).map((candidate, i) => ({ ...candidate, takes: String(i) }));
    const next = askNext(builds);
    expect(next.kind === 'ask' && next.best.question.asks).toBe('Built before Sep 2016, or later?');
    expect(remaining(builds, [{ kind: 'built', value: '2016' }], new Map())).toHaveLength(2);
    expect(remaining(builds, [{ kind: 'built', value: '2016-10' }], new Map())).toMatchObject([
      { build: 'Sep 2016 on' },
    ]);
  });

  test('splits builds by their serial number, which no year of build answers', () => {
    const builds = engine('AA6', {
      builds: [
        { label: 'serial to 4 999', toSerial: 4999, traits: {} },
        { label: 'serial 5 000 on', fromSerial: 5000, traits: {} },
      ],
      vehicles: [{ make: 'Ostrel', model: 'Linnet', from: 2012, to: 2020 }],
    }).map((candidate, i) => ({ ...candidate, takes: String(i) }));
    const next = askNext(builds);
    expect(next.kind === 'ask' && next.best.question.asks).toBe('Is its serial number below 5\u00a0000?');
    const left = (kind: Statement['kind'], value: string) =>
      remaining(builds, [{ kind, value }], new Map()).map(({ build }) => build);
    expect(left('built', '2016-10')).toHaveLength(2);
    expect(left('answer', 'serial:5000=below')).toEqual(['serial to 4 999']);
    expect(left('answer', 'serial:5000=from')).toEqual(['serial 5 000 on']);
  });

  test('answers alike, however the engines are ordered', () => {
    const all = [...coilEach, ...pack, ...gas];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: 3 }), (some) => {
        const asked = (of: readonly EngineCandidate[]) => {
          const next = askNext(of);
          return next.kind === 'ask' ? next.best.question.id : next.kind;
        };
        expect(asked(some)).toBe(asked([...some].sort((a, b) => (a.key < b.key ? -1 : 1))));
        expect(isSettled(some)).toBe(false);
      }),
    );
  });
});

describe('statements about an engine', () => {
  const vehicles = [
    { make: 'Ostrel', model: 'Linnet 1.2', from: 2014, to: 2018 },
    { make: 'Skerrow', model: 'Bilberry 1.2', from: 2019, to: null },
  ];
  const one = engine('AA1', { vehicles });
  const left = (...statements: Statement[]) => remaining(one, statements, new Map()).length;

  test('about the vehicle must all be true of one and the same vehicle', () => {
    expect(left({ kind: 'make', value: 'Ostrel' }, { kind: 'built', value: '2016' })).toBe(1);
    expect(left({ kind: 'make', value: 'Ostrel' }, { kind: 'built', value: '2021' })).toBe(0);
  });

  test('that cannot all be true are named', () => {
    const said: Statement[] = [
      { kind: 'make', value: 'Ostrel' },
      { kind: 'built', value: '2021' },
      { kind: 'code', value: 'AA1' },
    ];
    expect(contradictory(one, said, new Map())).toEqual([0, 1]);
  });

  test('are read out of a typed sentence, and nothing typed is dropped', () => {
    const known = {
      makes: new Map([['skerrow', 'Skerrow']]),
      models: new Map([['haulm', 'Haulm']]),
      codes: new Map([['sc20', 'SC20']]),
      isDescribed: (word: string) => word === 'irrigation',
    };
    expect(readStatements('a skerrow haulm 2.0 of 2012, petrol', known)).toEqual([
      { kind: 'make', value: 'Skerrow' },
      { kind: 'model', value: 'Haulm' },
      { kind: 'answer', value: 'litres=2.0' },
      { kind: 'built', value: '2012' },
      { kind: 'answer', value: 'fuel=petrol' },
      { kind: 'remark', value: 'a of' },
    ]);
    expect(readStatements('the silver one, supercharged, irrigation', known)).toEqual([
      { kind: 'answer', value: 'boosted=true' },
      { kind: 'words', value: 'irrigation' },
      { kind: 'remark', value: 'the silver one' },
    ]);
  });

  test('that fit nothing anywhere rule nothing out', () => {
    const remark: Statement = { kind: 'remark', value: 'the silver one, 16 mm hex' };
    expect(remaining(one, [remark], new Map())).toHaveLength(one.length);
    const words: Statement = { kind: 'words', value: 'nowhere-described' };
    expect(remaining(one, [words], new Map())).toHaveLength(one.length);
    expect(contradictory(one, [remark], new Map())).toEqual([]);
  });
});

describe('free words said of an engine', () => {
  test('are held against beginnings of words, never against what stands inside one', () => {
    expect(describes('2.0 four, turbo, heathland', 'tur')).toBe(true);
    expect(describes('2.0 four, turbo, heathland', 'land')).toBe(false);
    expect(describes('turbo', 'turbo')).toBe(true);
  });
  test('that only carry the sentence describe no engine, though a description begins with them', () => {
    const everything = { makes: new Map(), models: new Map(), codes: new Map(), isDescribed: () => true };
    expect(readStatements('the old one with my turbo pump', everything)).toEqual([
      { kind: 'answer', value: 'boosted=true' },
      { kind: 'words', value: 'pump' },
      { kind: 'remark', value: 'the old one with my' },
    ]);
  });
});
