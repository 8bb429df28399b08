import { describe, expect, test } from '@jest/globals';
import type { z } from 'zod';
import { Day, Month } from './calendar.ts';
import { receiveDelivery } from './delivery.ts';
import { DutyText } from './duty.ts';
import { EngineKey, Id, line } from './endpoint.ts';
import { beginInspection, noteEvidence } from './inspection.ts';
import { lendTool } from './loan.ts';
import { MendingChange } from './mending.ts';
import { ReferenceContent } from './proof-reference.ts';
import { addPerson, beginShop, changeShop } from './shop.ts';
import { addLine, changeLine, listSlips } from './slip.ts';

/** Where a body is refused, as dotted paths; nothing where it is taken. */
const amiss = (shape: z.ZodType, body: unknown): readonly string[] => {
  const read = shape.safeParse(body);
  return read.success ? [] : [...new Set(read.error.issues.map(({ path }) => path.join('.')))];
};
/** A body that is taken, and what each change of it is refused at. */
function refuses(
  shape: z.ZodType,
  fine: object,
  changes: readonly (readonly [why: string, more: object, at: string])[],
) {
  test('is taken as it should be', () => {
    expect(amiss(shape, fine)).toEqual([]);
  });
  test.each(changes)('is refused for %s', (_, more, at) => {
    expect(amiss(shape, { ...fine, ...more })).toEqual([at]);
  });
}

describe('a day', () => {
  test.each(['2024-02-29', '2026-12-31'])('%s is one', (day) => {
    expect(amiss(Day, day)).toEqual([]);
  });
  test.each([
    '2026-02-29',
    '2026-02-30',
    '2026-04-31',
    '2026-13-01',
    '2026-00-10',
    '26-01-01',
    '2026-1-1',
    '',
    'today',
  ])('“%s” is none of the calendar: no date column is asked to hold it', (day) => {
    expect(amiss(Day, day)).toEqual(['']);
  });
  test('is asked of slips as of everything else', () => {
    expect(amiss(listSlips.query, { day: '2026-02-28' })).toEqual([]);
    expect(amiss(listSlips.query, { day: '2026-02-30' })).toEqual(['day']);
  });
});

test.each([
  ['2016-08', []],
  ['2016-13', ['']],
  ['2016-00', ['']],
  ['2016', ['']],
])('the month “%s”', (month, at) => {
  expect(amiss(Month, month)).toEqual(at);
});

describe('what a record is found by', () => {
  test.each(['1', '999999999999999999'])('%s is a record’s number', (id) => {
    expect(amiss(Id, id)).toEqual([]);
  });
  test.each(['0', '-1', '1.5', '1e3', ' 1', '01', '9999999999999999999', '1; drop', ''])('“%s” is none', (id) => {
    expect(amiss(Id, id)).toEqual(['']);
  });
  test.each(['Skerrow', 'skerrow sc20', '../skerrow', 'x'.repeat(61)])('“%s” is no engine’s key', (key) => {
    expect(amiss(EngineKey, key)).toEqual(['']);
  });
});

describe('what somebody writes on one line', () => {
  test('may be in any script, and as long as it says', () => {
    expect(amiss(line(12), 'Größe 6½ mm')).toEqual([]);
    expect(amiss(line(12), 'x'.repeat(13))).toEqual(['']);
  });
  test.each(['two\nlines', 'a\u0000b', 'bell\u0007', 'broken \ufffd', 'half \ud83d'])(
    'has no signs that a printer or a reader stumbles over: %j',
    (text) => {
      expect(amiss(line(40), text)).toEqual(['']);
    },
  );
});

test.each([
  ['', []],
  ['load,boost:60', []],
  ['class:Tarn 2', []],
  ['boost:lots', ['']],
  ['warp', ['']],
])('a duty “%s”', (duty, at) => {
  expect(amiss(DutyText, duty)).toEqual(at);
});

describe('a line put on a slip', () => {
  refuses(addLine.body, { version: 3, partId: '70' }, [
    ['no pieces', { quantity: 0 }, 'quantity'],
    ['half a piece', { quantity: 1.5 }, 'quantity'],
    ['a thousand pieces', { quantity: 1000 }, 'quantity'],
    ['a kind nobody sells by', { kind: 'gift' }, 'kind'],
    ['something more than is asked', { price: 1 }, ''],
    ['a number that is text', { version: '3' }, 'version'],
  ]);
  test('is put down as a sale, in metric words, where nothing else is said', () => {
    expect(addLine.body.parse({ version: 3, partId: '70' })).toMatchObject({ kind: 'sale', units: 'metric' });
  });
  refuses(changeLine.body, { version: 3, quantity: 4, batchId: null }, [
    ['a batch that is none', { batchId: 'B1' }, 'batchId'],
    ['less than one piece', { quantity: -4 }, 'quantity'],
  ]);
});

describe('a delivery', () => {
  const one = { partId: '70', quantity: 8 };
  refuses(receiveDelivery.body, { sellerId: '2', lines: [one] }, [
    ['nothing in it', { lines: [] }, 'lines'],
    ['more lines than fit one note', { lines: Array.from({ length: 61 }, () => one) }, 'lines'],
    ['a line of none', { lines: [{ ...one, quantity: 0 }] }, 'lines.0.quantity'],
    [
      'a cost of nothing, which is not the same as not known',
      { lines: [{ ...one, unitCostMinor: 0 }] },
      'lines.0.unitCostMinor',
    ],
    ['a code that does not fit a label', { lines: [one, { ...one, code: 'x'.repeat(41) }] }, 'lines.1.code'],
  ]);
  test('keeps codes without the blanks a scanner leaves', () => {
    const read = receiveDelivery.body.parse({ sellerId: '2', lines: [{ ...one, code: '  K4 12 ' }] });
    expect(read.lines[0]).toMatchObject({ code: 'K4 12', orderedUnder: '', unitCostMinor: null });
  });
});

describe('an inspection', () => {
  refuses(beginInspection.body, { partId: '70', pieces: 4 }, [
    ['no piece to look at', { pieces: 0 }, 'pieces'],
    ['more than one desk can look at', { pieces: 17 }, 'pieces'],
    ['a way parts do not come by', { channel: 'friend' }, 'channel'],
  ]);
  const told = { what: 'tell', subject: 'weld', piece: 1, answer: 'differs' };
  refuses(noteEvidence.body, { entries: [told] }, [
    ['nothing noted', { entries: [] }, 'entries'],
    ['a piece that is not there to be', { entries: [{ ...told, piece: 17 }] }, 'entries.0.piece'],
    ['a reading that no instrument gives', { entries: [{ ...told, value: 2e9 }] }, 'entries.0.value'],
    ['nothing it is about', { entries: [{ ...told, subject: '' }] }, 'entries.0.subject'],
  ]);
});

describe('a tool lent', () => {
  refuses(lendTool.body, { tool: 'gap wire set', depositMinor: 1500, dueOn: '2026-12-01' }, [
    ['a day that never comes', { dueOn: '2026-11-31' }, 'dueOn'],
    ['a deposit below nothing', { depositMinor: -1 }, 'depositMinor'],
    ['a tool of blanks', { tool: '   ' }, 'tool'],
  ]);
});

describe('a change of the catalogue', () => {
  refuses(
    MendingChange,
    {
      what: 'listing',
      engineId: 'skerrow-sc20',
      place: null,
      source: 'sheet 4',
      builtFrom: '2016-08',
      builtTo: '2019-01',
    },
    [
      ['an end before its beginning', { builtTo: '2016-07' }, 'builtTo'],
      ['a month that is none', { builtFrom: '2016-13' }, 'builtFrom'],
      ['nobody who says so', { source: ' x ' }, 'source'],
      ['a place of blanks, which would be a place of its own', { place: '  ' }, 'place'],
    ],
  );
  test('of a listing may begin and end in one month, and be open at either end', () => {
    const listing = { what: 'listing', engineId: 'skerrow-sc20', place: null, source: 'sheet 4' };
    for (const ends of [
      { builtFrom: '2016-08', builtTo: '2016-08' },
      { builtFrom: null, builtTo: '2016-08' },
      { builtFrom: '2016-08', builtTo: null },
    ])
      expect(amiss(MendingChange, { ...listing, ...ends })).toEqual([]);
  });
  refuses(MendingChange, { what: 'price', eachMinor: 940, packOf: 4 }, [
    ['a price of nothing', { eachMinor: 0 }, 'eachMinor'],
    ['part of a penny', { eachMinor: 9.4 }, 'eachMinor'],
    ['a pack of none', { packOf: 0 }, 'packOf'],
  ]);
  refuses(
    MendingChange,
    { what: 'reference', toPartId: '70', grade: 'same', source: 'list 2', inForceFrom: '2027-01-01' },
    [
      ['a grade nobody gives', { grade: 'nearly' }, 'grade'],
      ['a day it never comes into force on', { inForceFrom: '2027-02-29' }, 'inForceFrom'],
    ],
  );
});

describe('a shop', () => {
  const shop = {
    name: 'Moor End Motor Factors',
    address: '1 Moor End',
    currency: 'GBP',
    taxBasisPoints: 2000,
    locale: 'en-GB',
    timeZone: null,
    units: 'metric',
  };
  refuses(changeShop.body, { ...shop, version: 1 }, [
    ['a zone nobody keeps time by', { timeZone: 'Moor/End' }, 'timeZone'],
    ['a tax of more than half', { taxBasisPoints: 5001 }, 'taxBasisPoints'],
    ['a tax that is a fraction of a basis point', { taxBasisPoints: 17.5 }, 'taxBasisPoints'],
    ['a name of one letter', { name: 'M' }, 'name'],
  ]);
  const boss = { name: 'Una', initials: 'UN', password: 'three-tarns-at-dawn', pin: '4711' };
  refuses(beginShop.body, { ...shop, code: 'CODE', supervisor: boss }, [
    [
      'a first supervisor whose password repeats itself',
      { supervisor: { ...boss, password: 'abababababab' } },
      'supervisor.password',
    ],
    ['no code from its terminal', { code: '' }, 'code'],
  ]);
  const starter = { ...boss, role: 'starter' };
  refuses(addPerson.body, starter, [
    ['initials that are none', { initials: 'U2' }, 'initials'],
    ['four initials', { initials: 'UNAN' }, 'initials'],
    ['a supervisor whose password is their name', { role: 'supervisor', password: 'UnaUnaUnaUna' }, 'password'],
    ['a role nobody has', { role: 'owner' }, 'role'],
  ]);
});

describe('what genuine pieces look like', () => {
  const drawing = { genuine: { form: 'weld', bead: 0.9 }, suspect: { form: 'weld', bead: 0.2 } };
  const tell = {
    id: 'weld',
    title: 'Weld',
    group: 'tip',
    aspect: 'physical',
    place: 'hex',
    look: 'under a glass',
    genuine: 'an even bead',
    suspect: 'a rough blob',
    differs: { ifGenuine: 0.02, ifFake: 0.6 },
    source: 'counted on forty pieces',
    minutes: 1,
    seen: 1,
    drawing,
  };
  const content = { title: 'Since the blue box', from: '2019-01-01', to: null, batchCode: null };
  const at = (more: object, rest: object = {}) =>
    amiss(ReferenceContent, { ...content, ...rest, tells: [{ ...tell, ...more }] });
  test('is refused for a chance of never or always, which no later sign could move', () => {
    expect(at({ differs: { ifGenuine: 0, ifFake: 0.6 } })).toEqual(['tells.0.differs.ifGenuine']);
    expect(at({ differs: { ifGenuine: 0.02, ifFake: 1 } })).toEqual(['tells.0.differs.ifFake']);
    expect(at({})).toEqual([]);
  });
  test('says where its chances come from', () => {
    expect(at({ source: '' })).toEqual(['tells.0.source']);
  });
  test.each(['constructor', '__proto__', 'toString', 'Weld', '1weld', ''])('has no tell called “%s”', (id) => {
    expect(at({ id })).toEqual(['tells.0.id']);
  });
  test('begins and ends on days of the calendar', () => {
    expect(at({}, { from: '2019-02-29' })).toEqual(['from']);
    expect(at({}, { to: '2019-13-01' })).toEqual(['to']);
  });
  test('has each tell once', () => {
    expect(amiss(ReferenceContent, { ...content, tells: [tell, tell] })).toEqual(['tells']);
  });
});
