import { describe, expect, test } from '@jest/globals';
import { COMEBACK_CHECK_IDS, comebackCheck, HOW_SOON } from './comeback-checks.ts';
import { answerComeback, groupsHere, howSoonAfter, touchedBy } from './comeback.ts';
import { EVENTS, fateOf } from './refit.ts';
import { COMEBACK_EXAMPLES, firstChecks, HAS_ALL } from './worked-examples.ts';

describe('the worked examples of a comeback', () => {
  test.each(COMEBACK_EXAMPLES.map((example) => [example.tells, example] as const))('%s', (_, example) => {
    const [first, second] = firstChecks(example);
    expect([first!.id, first!.perMinute]).toEqual([example.first[0], expect.closeTo(example.first[1], 9)]);
    if (example.second)
      expect([second!.id, second!.perMinute]).toEqual([example.second[0], expect.closeTo(example.second[1], 9)]);
  });

  test('its columns add up, as written down by hand', () => {
    const sum = (of: (id: (typeof COMEBACK_CHECK_IDS)[number]) => number) =>
      COMEBACK_CHECK_IDS.reduce((total, id) => total + of(id), 0);
    expect(sum((id) => comebackCheck(id).minutes)).toBe(80);
    expect(HOW_SOON.map((soon) => sum((id) => comebackCheck(id).weights[soon]))).toEqual([136, 100.5, 95.5]);
  });
});

describe('work that came back', () => {
  const [yesterday] = COMEBACK_EXAMPLES;
  const of = (more: object) => answerComeback({ ...yesterday!.comeback, ...more }, yesterday!.has);

  test('sells nothing until something was seen wrong, and nothing for what was only to be undone', () => {
    expect(of({}).sell).toBeNull();
    expect(of({ results: { connector: 'wrong' } })).toMatchObject({ found: 'connector', sell: null, next: undefined });
    expect(of({ results: { connector: 'seen-right', gap: 'wrong' } })).toMatchObject({ found: 'gap', sell: 'plugs' });
  });
  test('a check told right keeps a tenth and can come first again; one seen right is out', () => {
    expect(of({ results: { connector: 'told-right' } }).ranked.find(({ id }) => id === 'connector')!.perMinute).toBe(
      4.5,
    );
    expect(of({ results: { connector: 'told-right', boot: 'seen-right' } }).next!.id).toBe('connector');
    expect(of({ results: { connector: 'seen-right' } }).next!.id).toBe('boot');
  });
  test('a code that was read here outranks what was told', () => {
    expect(of({ misfire: 'all', codeSays: 'one' }).ranked[0]).toMatchObject({ id: 'connector', perMinute: 45 });
  });
  test('a lamp that flashes stops it before any check', () => {
    expect([of({ lamp: 'flashing' }).stop, of({ lamp: 'steady' }).stop]).toEqual([true, false]);
  });
  test('the likeliest is shown beside what is quickest', () => {
    const late = answerComeback({ ...yesterday!.comeback, howSoon: 'within' }, yesterday!.has);
    expect([late.next!.id, late.likeliest!.id]).toEqual(['connector', 'boot']);
  });
  test('no check is asked of what the engine does not have', () => {
    const none = { coils: false, leads: false, cap: false, battery: false, connectors: false };
    const asked = answerComeback(yesterday!.comeback, none).ranked.map(({ id }) => id);
    for (const id of ['connector', 'crossed', 'lead', 'revision', 'swap', 'cap', 'relearn'] as const)
      expect(asked).not.toContain(id);
    expect(answerComeback(yesterday!.comeback, HAS_ALL).ranked).toHaveLength(COMEBACK_CHECK_IDS.length);
  });
  test('plugs are not reached without boots and connectors: their slip says so by itself', () => {
    expect(touchedBy(['plug', 'sundry'])).toEqual(['connectors', 'boots', 'plugs', 'leads']);
  });
  test.each([
    [['coil'], ['connectors', 'boots', 'coils']],
    [['lead-set'], ['boots', 'leads']],
    [['cap'], ['leads', 'cap']],
    [['rotor'], ['leads', 'cap']],
    [
      ['coil', 'rotor'],
      ['connectors', 'boots', 'coils', 'leads', 'cap'],
    ],
    [['sundry'], []],
  ])('a slip of %j touched %j', (kinds, groups) => {
    expect(touchedBy(kinds)).toEqual(groups);
  });
  test('what was found wrong is no longer next, and what was seen right is not the likeliest', () => {
    const seen = of({ results: { boot: 'seen-right', connector: 'seen-right' } });
    expect([seen.next!.id, seen.likeliest!.id]).not.toContain('boot');
    expect(of({ results: { connector: 'wrong' } }).likeliest!.id).not.toBe('connector');
    const all = Object.fromEntries(COMEBACK_CHECK_IDS.map((id) => [id, 'seen-right'] as const));
    expect(of({ results: all })).toMatchObject({ next: undefined, likeliest: undefined, found: undefined, sell: null });
  });
  test('what was not touched keeps a tenth, a plug that fell is looked at first, and wet weather counts', () => {
    const weightOf = (id: string, more: object) => of(more).ranked.find((check) => check.id === id)!.weight;
    expect(weightOf('hose', { untouched: ['intake'] })).toBeCloseTo(weightOf('hose', { untouched: [] }) / 10, 9);
    expect(weightOf('other', { untouched: ['intake'] })).toBe(weightOf('other', {}));
    expect(weightOf('gap', { isToldDropped: true })).toBeCloseTo(weightOf('gap', { isToldDropped: false }) * 5, 9);
    expect(weightOf('well', { when: ['wet'] })).toBeCloseTo(weightOf('well', { when: [] }) * 4, 9);
  });
});

test('at once ends with fifty kilometres, wear begins after a thousand; an engine without leads was not touched there', () => {
  expect([undefined, 50, 51, 1000, 1001].map(howSoonAfter)).toEqual(['once', 'once', 'within', 'within', 'later']);
  expect(groupsHere({ ...HAS_ALL, leads: false })).not.toContain('leads');
  expect(groupsHere({ ...HAS_ALL, leads: false })).toContain('intake');
});

describe('a plug that something befell', () => {
  const plug = { event: 'none', isFineTip: false, gasket: 'fixed', wasFitted: true, isOpened: true } as const;
  test.each([
    ['detonation', 'discard'],
    ['debris', 'discard'],
    ['backfire', 'regauge'],
    ['dropped', 'regauge'],
    ['overtightened', 'discard'],
    ['cross-threaded', 'discard'],
    ['cut', 'discard'],
    ['coolant', 'discard'],
    ['none', 'refit'],
  ] as const)('%s: %s', (event, fate) => {
    expect(fateOf({ ...plug, event }).fate).toBe(fate);
  });
  test('a hidden crack is told of a dropped one; a used gasket turns a twelfth, a cone has none; no brush on a fine tip', () => {
    expect(fateOf({ ...plug, event: 'dropped' }).says.join(' ')).toMatch(/crack.*only under load/);
    expect(fateOf(plug).says.join(' ')).toMatch(/twelfth/);
    expect(fateOf({ ...plug, gasket: 'taper' }).says.join(' ')).not.toMatch(/twelfth/);
    expect(fateOf({ ...plug, isFineTip: true }).says.join(' ')).toMatch(/No wire brush/);
  });
  test('what is told of it, word by word', () => {
    const told = (more: Partial<Parameters<typeof fateOf>[0]>) => fateOf({ ...plug, ...more }).says;
    const not = 'Not back on the shelf: never what was fitted, dropped or opened.';
    const used = 'Its gasket is crushed already: a used one turns a twelfth, not the half of a new one.';
    expect(told({})).toEqual(['Its gap is gauged before it goes in.', used, not]);
    expect(told({ wasFitted: false, isOpened: false })).toEqual([
      'Its gap is gauged before it goes in.',
      'Never opened, never fitted: it may go back on the shelf.',
    ]);
    expect(told({ event: 'dropped', wasFitted: false, isFineTip: true })).toEqual([
      'Gauge its gap, look for a crack; a hidden one shows only under load, and that is told.',
      'No wire brush: a fine or precious tip comes off under it.',
      not,
    ]);
    expect(told({ event: 'backfire', gasket: 'taper' })).toEqual([
      'Look at the insulator with a lamp and gauge its gap; a hidden crack shows only under load.',
      'Its cone wiped clean; no gasket.',
      not,
    ]);
    expect(told({ event: 'cut' })).toEqual(['A changed electrode is no plug of its maker any more.', not]);
  });
  test('only what was never opened, fitted or dropped goes back on the shelf', () => {
    for (const event of EVENTS)
      for (const wasFitted of [true, false])
        for (const isOpened of [true, false])
          expect(fateOf({ ...plug, event, wasFitted, isOpened }).mayRestock).toBe(
            event === 'none' && !wasFitted && !isOpened,
          );
  });
});
