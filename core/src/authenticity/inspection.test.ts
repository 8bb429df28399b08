import { describe, expect, test } from '@jest/globals';
import { judgeInspection, latestEntry, type InspectionMatter, type JournalEntry } from './inspection.ts';
import { entropyBits, itemOf, nextChecks } from './next-check.ts';
import { mixedUnderOneNumber, setIntegrity } from './set-integrity.ts';
import { suggestInspection } from './suggest-inspection.ts';
import type { Tell } from './tell.ts';

const tell = (id: string, more: Partial<Tell> = {}): Tell => ({
  id,
  title: id,
  group: id,
  aspect: 'physical',
  place: 'print',
  look: '',
  genuine: '',
  suspect: '',
  differs: { ifGenuine: 0.05, ifFake: 0.6 },
  source: 'example',
  minutes: 1,
  seen: 1,
  ...more,
});
const TELLS = [
  tell('weld'),
  tell('crown'),
  tell('print'),
  tell('seal', { aspect: 'packaging' }),
  tell('gap', { measure: { quantity: 'gapMm', nominal: 'catalogue', tolerance: 0.05 } }),
];
const saw = (subject: string, piece: number, answer: string): JournalEntry => ({
  what: 'tell',
  subject,
  piece,
  answer,
  value: null,
});
const read = (subject: string, piece: number, value: number): JournalEntry => ({
  what: 'measure',
  subject,
  piece,
  answer: '',
  value,
});
const number = (subject: string, piece: number, answer: string): JournalEntry => ({
  what: 'number',
  subject,
  piece,
  answer,
  value: null,
});

const matter = (journal: readonly JournalEntry[], more: Partial<InspectionMatter> = {}): InspectionMatter => ({
  channel: 'wholesale',
  record: { settled: 0, notGenuine: 0 },
  paper: [],
  tells: TELLS,
  pieces: 2,
  batchSize: 4,
  askedFor: null,
  part: { partId: '1', names: ['EX-C19-F10', 'C19·F10'] },
  catalogue: { gapMm: 1, reachMm: 19 },
  bearers: {},
  decoded: {},
  decodedAgainst: [],
  journal,
  ...more,
});

describe('an inspection', () => {
  test('keeps the latest answer of a sign; one withdrawn was never looked at', () => {
    const journal = [saw('weld', 1, 'differs'), saw('weld', 1, 'genuine-like'), saw('crown', 1, 'differs')];
    expect(judgeInspection(matter(journal)).pieces[0]!.answers).toEqual({ weld: 'genuine-like', crown: 'differs' });
    const withdrawn = judgeInspection(matter([...journal, saw('crown', 1, 'withdrawn')]));
    expect(withdrawn.pieces[0]!.answers).toEqual({ weld: 'genuine-like' });
    expect(withdrawn.pieces[0]!.next.map((next) => next.tell.id)).toContain('crown');
  });

  test('judges each piece by its own signs, then the batch by the worst', () => {
    const all = (piece: number, answer: string) => ['weld', 'crown', 'print'].map((id) => saw(id, piece, answer));
    const judged = judgeInspection(matter([...all(1, 'genuine-like'), ...all(2, 'differs')]));
    expect(judged.pieces.map(({ judgement }) => judgement.band)).toEqual(['consistent', 'suspect']);
    expect(judged.worst.label).toBe('B');
    expect([judged.band, judged.batchBand]).toEqual(['suspect', 'suspect']);
  });

  test('the piece that is spoken of is one that was looked at, not one that is merely unknown', () => {
    const all = ['weld', 'crown', 'print'].map((id) => saw(id, 2, 'genuine-like'));
    const judged = judgeInspection(matter(all, { channel: 'marketplace', pieces: 3 }));
    expect(judged.worst.label).toBe('B');
    expect(judgeInspection(matter([], { pieces: 3 })).worst.label).toBe('A');
  });

  test('two consistent pieces are consistent; of a batch of nine they are too few to speak', () => {
    const all = [1, 2].flatMap((piece) => ['weld', 'crown', 'print'].map((id) => saw(id, piece, 'genuine-like')));
    const bands = (batchSize: number, journal = all) => {
      const { band, batchBand } = judgeInspection(matter(journal, { batchSize }));
      return [band, batchBand];
    };
    expect(bands(4)).toEqual(['consistent', 'consistent']);
    expect(bands(9)).toEqual(['consistent', 'not-proven']);
    expect(bands(4, all.slice(0, 3))).toEqual(['not-proven', 'not-proven']);
  });

  test('a reach 7.5 mm over the catalogue’s blocks the sale though every sign looks genuine', () => {
    const judged = judgeInspection(
      matter([...['weld', 'crown', 'print'].map((id) => saw(id, 1, 'genuine-like')), read('reachMm', 1, 26.5)]),
    );
    expect(judged.pieces[0]!.judgement.band).toBe('consistent');
    expect(judged.blocks).toEqual(['Reach 26.5 mm, the catalogue says 19.0']);
    expect(judgeInspection(matter([read('reachMm', 1, 19.5)])).blocks).toEqual([]);
    expect(judgeInspection(matter([read('reachMm', 1, 19.6)])).blocks).toHaveLength(1);
  });

  test('where no reach is published the number itself is held to: 26.5 against a number that says 19 and a fraction', () => {
    const silent = { catalogue: {}, decoded: { reachMm: { low: 19, high: 20 } } };
    const blocksAt = (reach: number) => judgeInspection(matter([read('reachMm', 1, reach)], silent)).blocks;
    expect(blocksAt(26.5)).toEqual(['Reach 26.5 mm, the number itself says 19 to 20']);
    expect([18.5, 19.7, 20.5].map(blocksAt)).toEqual([[], [], []]);
    expect(blocksAt(20.6)).toHaveLength(1);
  });

  test('the number of another part blocks; an unknown one and a worn one do not', () => {
    const bearers = { 'EX-C19-F06': [{ partId: '2', printed: 'EX-C19-F06', maker: 'Exmaker', revision: null }] };
    const blocksOf = (printed: string) => judgeInspection(matter([number('box', 0, printed)], { bearers })).blocks;
    expect(blocksOf('EX-C19-F06')).toEqual(['Box EX-C19-F06: The number of EX-C19-F06, Exmaker.']);
    expect(blocksOf('EX-C19-FlO')).toEqual([]);
    expect(blocksOf('ZZ 99')).toEqual([]);
    expect(blocksOf('constructor')).toEqual([]);
    expect(judgeInspection(matter([number('stamping', 1, 'C19 F10')])).numbers[0]!.outcome).toBe('agrees');
  });

  test('a gap out of tolerance speaks for its piece, a scatter wider than the maker’s for all once all are read', () => {
    const apart = judgeInspection(matter([read('gapMm', 1, 0.95), read('gapMm', 2, 1.05)]));
    expect(apart.pieces.map(({ answers }) => answers.gap)).toEqual(['genuine-like', 'genuine-like']);
    const wide = judgeInspection(matter([read('gapMm', 1, 0.94), read('gapMm', 2, 1.05)]));
    expect(wide.gapSpread).toMatchObject({ low: 0.94, high: 1.05, allowed: 0.1, all: true });
    expect(wide.pieces.map(({ answers }) => answers.gap)).toEqual(['differs', 'differs']);
    const three = matter([read('gapMm', 1, 0.94), read('gapMm', 2, 1.05)], { pieces: 3 });
    expect(judgeInspection(three).pieces.map(({ answers }) => answers.gap)).toEqual([
      'differs',
      'genuine-like',
      undefined,
    ]);
  });

  test('one knocked plug of four speaks for itself alone', () => {
    const four = matter([read('gapMm', 1, 1), read('gapMm', 2, 1.02), read('gapMm', 3, 0.98), read('gapMm', 4, 0.7)], {
      pieces: 4,
    });
    const judged = judgeInspection(four);
    expect(judged.gapSpread).toMatchObject({ low: 0.98, high: 1.02, setAside: 0.7 });
    expect(judged.pieces.map(({ answers }) => answers.gap)).toEqual([
      'genuine-like',
      'genuine-like',
      'genuine-like',
      'differs',
    ]);
  });

  test('a stamping that is another part’s blocks its own piece alone, and the set it stands in', () => {
    const bearers = { 'EX-C19-F06': [{ partId: '2', printed: 'EX-C19-F06', maker: 'Exmaker', revision: 'B' }] };
    const journal = [number('stamping', 1, 'EX-C19-F10'), number('stamping', 2, 'EX-C19-F06')];
    const judged = judgeInspection(matter(journal, { bearers }));
    const own = 'Stamping EX-C19-F06 on piece B: The number of EX-C19-F06, Exmaker.';
    expect(judged.pieces.map(({ blocks }) => blocks)).toEqual([[], [own]]);
    expect(judged.set.find(({ what }) => what === 'number')).toMatchObject({ blocks: true });
    expect(judged.blocks[0]).toBe(own);
    expect(judged.blocks).toContain(judged.set.find(({ what }) => what === 'number')!.says);
    // Of which only one was looked up, the other's maker and revision are not known: told, and blocking nothing.
    expect(judged.blocks).not.toContain(judged.set.find(({ what }) => what === 'unread')?.says);
  });

  test('one part under two of its names is one number; an unknown one is held against the others as read', () => {
    const names = judgeInspection(matter([number('stamping', 1, 'EX-C19-F10'), number('stamping', 2, 'C19·F10')]));
    expect(names.set.filter(({ what }) => what === 'number')).toEqual([]);
    const unknown = judgeInspection(
      matter([number('stamping', 1, 'ZZ 1'), number('stamping', 2, 'ZZ 1'), number('stamping', 3, 'ZZ 2')], {
        pieces: 3,
      }),
    );
    expect(unknown.numbers.map(({ outcome }) => outcome)).not.toContain('contradicts');
  });

  test('batch codes are told apart, by piece; a code is no number of the part', () => {
    const judged = judgeInspection(
      matter([number('batch', 1, 'F2-0917'), number('batch', 2, 'F2-0917'), number('batch', 3, 'F2-0918')], {
        pieces: 3,
      }),
    );
    expect(judged.set).toEqual([expect.objectContaining({ what: 'batch', blocks: false, odd: ['C'] })]);
    expect([judged.numbers, judged.blocks]).toEqual([[], []]);
  });

  test('fewer than were asked for are told', () => {
    expect(judgeInspection(matter([], { askedFor: 4 })).set).toMatchObject([{ what: 'count' }]);
    expect(judgeInspection(matter([])).set).toEqual([]);
  });

  test('a reading that was taken back was not taken, and one that cannot be taken says so', () => {
    const gap = (journal: readonly JournalEntry[]) => {
      const { answers, readings } = judgeInspection(matter(journal)).pieces[0]!;
      return [answers.gap, readings.map(({ value }) => value)];
    };
    expect(gap([read('gapMm', 1, 1), { ...read('gapMm', 1, 0), answer: 'withdrawn', value: null }])).toEqual([
      undefined,
      [],
    ]);
    expect(gap([{ ...read('gapMm', 1, 0), value: null }])).toEqual([undefined, []]);
    expect(gap([saw('gap', 1, 'cannot-see')])).toEqual(['cannot-see', []]);
    expect(gap([saw('gap', 1, 'differs')])).toEqual([undefined, []]);
    expect(gap([read('gapMm', 1, 1)])).toEqual(['genuine-like', [1]]);
  });

  test('a sign whose answer is none that can be given was not looked at', () => {
    expect(judgeInspection(matter([saw('weld', 1, 'perhaps')])).pieces[0]!.answers).toEqual({});
  });

  test('a tell may be held to a figure of its own', () => {
    const own = tell('thread', { measure: { quantity: 'reachMm', nominal: 18, tolerance: 0.5 } });
    const answer = (reach: number) =>
      judgeInspection(matter([read('reachMm', 1, reach)], { tells: [own] })).pieces[0]!.answers.thread;
    expect([answer(18.4), answer(19)]).toEqual(['genuine-like', 'differs']);
    expect(judgeInspection(matter([read('gapMm', 1, 1)], { tells: [own] })).gapSpread).toBeNull();
  });

  test('what the number says stands beside a reading only where the catalogue is silent', () => {
    const decoded = { reachMm: { low: 19, high: 20 } };
    const row = (catalogue: InspectionMatter['catalogue']) =>
      judgeInspection(matter([read('reachMm', 1, 19)], { decoded, catalogue })).pieces[0]!.readings[0];
    expect(row({ reachMm: 19 })).toMatchObject({ expected: 19, decoded: null });
    expect(row({})).toMatchObject({ expected: null, decoded: { low: 19, high: 20 } });
  });

  test('the channel’s own chance is told beside the seller’s', () => {
    const { prior, channelPrior } = judgeInspection(matter([], { record: { settled: 20, notGenuine: 10 } }));
    expect(channelPrior).toBe(judgeInspection(matter([])).prior);
    expect(prior).toBeGreaterThan(channelPrior);
  });

  test('what stands of a sign is the latest of its very kind, sign and piece', () => {
    const journal = [
      saw('weld', 1, 'differs'),
      saw('weld', 2, 'genuine-like'),
      saw('crown', 1, 'genuine-like'),
      number('weld', 1, 'X'),
    ];
    const at = (piece: number, all = journal) => latestEntry(all, { what: 'tell', subject: 'weld', piece })?.answer;
    expect([at(1), at(2), at(3)]).toEqual(['differs', 'genuine-like', undefined]);
    expect(at(1, [...journal, saw('weld', 1, 'withdrawn')])).toBeUndefined();
  });

  test('a reading without a figure to hold it against says nothing', () => {
    expect(judgeInspection(matter([read('gapMm', 1, 1)], { catalogue: {} })).pieces[0]!.answers.gap).toBe('cannot-see');
  });
});

describe('the next best check', () => {
  const order = (tells: readonly Tell[], seen = tells.slice(0, 0).map((t) => itemOf(t, 'differs'))) =>
    nextChecks(0.12, seen, tells).map((next) => next.tell.id);

  test('is the sharper of two that take as long, and the quicker of two as sharp', () => {
    expect(order([tell('dull', { differs: { ifGenuine: 0.05, ifFake: 0.1 } }), tell('sharp')])[0]).toBe('sharp');
    expect(order([tell('slow', { minutes: 3 }), tell('quick')])[0]).toBe('quick');
    expect(order([tell('hidden', { seen: 0.3 }), tell('plain')])[0]).toBe('plain');
  });

  test('a sign of a group that is already at its cap clears nothing', () => {
    const seen = [itemOf(tell('a', { group: 'print', differs: { ifGenuine: 0.01, ifFake: 0.9 } }), 'differs')];
    const [first, second] = nextChecks(0.12, seen, [tell('b', { group: 'print' }), tell('c')]);
    expect(first!.tell.id).toBe('c');
    expect(second!.dropBits).toBeLessThan(first!.dropBits);
  });

  test('expects what averaging over both answers by hand gives', () => {
    const [next] = nextChecks(0.2, [], [tell('weld')]);
    const pDiffers = 0.2 * 0.6 + 0.8 * 0.05;
    const [ifDiffers, ifAlike] = [(0.2 * 0.6) / pDiffers, (0.2 * 0.4) / (0.2 * 0.4 + 0.8 * 0.95)];
    expect(next!.ifDiffers.chance).toBeCloseTo(ifDiffers, 9);
    expect(next!.dropBits).toBeCloseTo(
      entropyBits(0.2) - pDiffers * entropyBits(ifDiffers) - (1 - pDiffers) * entropyBits(ifAlike),
      9,
    );
  });
});

describe('whether a set is whole', () => {
  const piece = (label: string, number: string, batch = 'F2-0917') => ({ label, number, maker: 'Exmaker', batch });
  test('one of another number blocks and is named; one of another batch is only told', () => {
    const [found] = setIntegrity([piece('A', 'EX 1'), piece('B', 'EX 1'), piece('C', 'EX 2')]);
    expect(found).toMatchObject({ what: 'number', blocks: true, odd: ['C'] });
    const [batch] = setIntegrity([piece('A', 'EX 1'), piece('B', 'EX 1'), piece('C', 'EX 1', 'F2-0918')]);
    expect(batch).toMatchObject({ what: 'batch', blocks: false, odd: ['C'] });
  });
  test('three of four is told', () => {
    const unread = { ...piece('B', 'EX 1'), revision: undefined };
    expect(setIntegrity([{ ...piece('A', 'EX 1'), revision: 'A' }, unread])[0]).toMatchObject({
      what: 'unread',
      blocks: false,
      odd: ['B'],
    });
    expect(setIntegrity([piece('A', 'EX 1')], 4)[0]).toMatchObject({ what: 'count', blocks: false });
  });
  test('one OE number filled by two makers is told when it arrives', () => {
    const line = (maker: string, orderedUnder = 'AK/1') => ({ maker, orderedUnder, printed: maker });
    expect(mixedUnderOneNumber([line('Two'), line('One'), line('Two'), line('Three', '')])).toEqual([
      { orderedUnder: 'AK/1', makers: ['One', 'Two'] },
    ]);
    expect(mixedUnderOneNumber([line('One'), line('One'), line('Two', 'AK/2')])).toEqual([]);
  });
});

describe('what to look at when a delivery arrives', () => {
  const odd = [
    { id: 'p', title: 'Price 40% under usual', group: 'paper', aspect: 'paper', logRatio: Math.log(3) },
  ] as const;
  test('a depot’s batch asks for nothing, a marketplace batch of nine for three, an odd price for one more look', () => {
    expect(suggestInspection(0.002, [], 9).pieces).toBe(0);
    expect(suggestInspection(0.12, [], 9).pieces).toBe(3);
    expect(suggestInspection(0.002, odd, 9)).toMatchObject({ pieces: 1 });
    expect(suggestInspection(0.002, odd, 9).says).toContain('price 40% under usual');
  });

  test('the reason is told with its chance, and only what speaks against it', () => {
    const says = (prior: number, paper = [] as Parameters<typeof suggestInspection>[1]) =>
      suggestInspection(prior, paper, 9).says;
    expect(says(0.002)).toBe('Nothing asks for it: 0.2% before looking.');
    expect(says(0.02)).toBe('Look at one: 2.0% before looking.');
    expect(says(0.05)).toBe('Look at 3 of 9: 5.0% before looking.');
    expect(says(0.25)).toBe('Look at 3 of 9: 25% before looking.');
    const good = { ...odd[0], title: 'Invoice in order', logRatio: -1 };
    expect(says(0.02, [{ ...odd[0], title: 'Neutral', logRatio: 0 }, good])).toMatch(/before looking\.$/);
    expect(says(0.02, odd)).toBe('Look at 3 of 9: 5.8% before looking: price 40% under usual.');
  });
});
