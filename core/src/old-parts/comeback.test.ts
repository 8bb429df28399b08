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
  test('only what was never opened, fitted or dropped goes back on the shelf', () => {
    for (const event of EVENTS)
      for (const wasFitted of [true, false])
        for (const isOpened of [true, false])
          expect(fateOf({ ...plug, event, wasFitted, isOpened }).mayRestock).toBe(
            event === 'none' && !wasFitted && !isOpened,
          );
  });
});
