import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { PaperView } from '@brackenfell/contract/hand-over';
import type { ToolLoan } from '@brackenfell/contract/loan';
import type { Slip } from '@brackenfell/contract/slip';
import { withTax } from '@brackenfell/core/money/tax';
import { printPrice } from '@brackenfell/core/words/money';
import { fetchTray, openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';
import { barcodesOf, pdfOf, textOf } from '../testing/papers.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const LONG = 'The Cawdle and Upper Sallowdale Agricultural Machinery Lending and Mending Co-operative Society';
const origin = 'http://127.0.0.1:8417';

async function slipFor(engineId: string, kind = 'plug', details: object = {}): Promise<Slip> {
  const begun = (await write(wren, 'post', '/api/slips', { engineId, ...details }).expect(201)).body as Slip;
  const { rows } = await fetchTray(wren, engineId, `?kind=${kind}`);
  const { partId } = rows.find(({ verdict }) => verdict !== 'refuse')!;
  const body = { partId, version: begun.version };
  return (await write(wren, 'post', `/api/slips/${begun.slipId}/lines`, body).expect(201)).body as Slip;
}
const print = (slip: Slip, kind: string, size: string) =>
  write(wren, 'post', `/api/slips/${slip.slipId}/papers`, { kind, size, units: 'both', origin });
const printed = async (slip: Slip, kind: string, size: string): Promise<Buffer> =>
  pdfOf(wren, ((await print(slip, kind, size).expect(201)).body as PaperView).paperId);

describe('a quote', () => {
  test('says each price with tax and for the set, to which day it holds, and cuts no long name', async () => {
    const slip = await slipFor('pellworth-pg66', 'plug', {
      customer: LONG,
      phone: '01632 960 185',
      vehicle: 'spare set',
    });
    const quoted = (await write(wren, 'post', `/api/slips/${slip.slipId}/quote`, { version: slip.version }).expect(200))
      .body as Slip;
    const [line] = quoted.lines;
    for (const size of ['A5', 'A4']) {
      const pdf = await printed(quoted, 'quote', size);
      const text = textOf(pdf);
      expect(text).toContain(`${line!.quantity} × ${line!.printed}`);
      expect(text).toContain(`each, with tax ${printPrice(withTax(line!.unitPriceMinor!, 2000))}`);
      expect(text).toContain(`for all ${line!.quantity} ${printPrice(line!.unitPriceMinor! * line!.quantity)}`);
      expect(text).toContain(printPrice(quoted.totalMinor));
      expect(text).toMatch(/Prices hold to \d+ \w+ \d{4}, closing time/);
      for (const word of LONG.split(' ')) expect(text).toContain(word);
      expect(barcodesOf(pdf)).toEqual([
        `CODE-128:${String(quoted.docket).padStart(5, '0')}`,
        `QR-Code:${origin}/slips/${quoted.slipId}`,
      ]);
    }
  });

  test('of what is not quoted says that its prices are not held, and a refused part is only one that must not be fitted', async () => {
    const slip = await slipFor('pellworth-pp20');
    expect(textOf(await printed(slip, 'quote', 'A5'))).toContain('not held');
    const refused = (await fetchTray(wren, 'pellworth-pp20')).rows.find(({ verdict }) => verdict === 'refuse')!;
    const own = { partId: refused.partId, version: slip.version, kind: 'customers-own' };
    const both = (await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, own).expect(201)).body as Slip;
    for (const kind of ['quote', 'slip']) {
      const text = textOf(await printed(both, kind, 'A4'));
      expect(text).toContain(`Do not fit ${refused.printed}`);
      expect(
        text.match(new RegExp(refused.printed.replaceAll(/[.*+?^${}()|[\]\\/]/g, String.raw`\$&`), 'g')),
      ).toHaveLength(1);
    }
  });
});

test('a good part of the customer’s own stands on card, quote and slip unpriced, as not ours and without warranty', async () => {
  const slip = await slipFor('skerrow-sc20');
  const { rows } = await fetchTray(wren, 'skerrow-sc20');
  const { partId, printed: number } = rows.find(
    (row) => row.verdict !== 'refuse' && row.partId !== slip.lines[0]!.partId,
  )!;
  const own = { partId, version: slip.version, kind: 'customers-own' };
  const both = (await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, own).expect(201)).body as Slip;
  expect(both.totalMinor).toBe(slip.totalMinor);
  for (const kind of ['fitting-card', 'quote', 'slip']) {
    const text = textOf(await printed(both, kind, 'A4'));
    expect(text).toMatch(new RegExp(`${number}.{0,60}customer’s own.{0,12}not ours, no warranty`));
  }
});

describe('labels', () => {
  test('of leads say place and length on both sides of the fold, one label for each lead of eight cylinders', async () => {
    const slip = await slipFor('pellworth-pg66', 'lead-set');
    const text = textOf(await printed(slip, 'lead-labels', 'label'));
    for (let cylinder = 1; cylinder <= 8; cylinder += 1)
      expect(text.match(new RegExp(`cylinder ${cylinder}(?!\\d)`, 'g'))).toHaveLength(2);
    expect(text).toMatch(/mm/);
  });

  test('of parts carry the number as figures and as a barcode that another reader decodes, as many as pieces', async () => {
    const slip = await slipFor('skerrow-sc20');
    const [line] = slip.lines;
    const pdf = await printed(slip, 'part-labels', 'label');
    expect(barcodesOf(pdf)).toEqual([`CODE-128:${line!.printed}`]);
    expect(textOf(pdf).split(line!.printed)).toHaveLength(line!.quantity + 1);
  });

  test('are not printed on sheets, nor sheets as labels, nor for leads that are not on the slip', async () => {
    const slip = await slipFor('skerrow-sc20');
    await print(slip, 'part-labels', 'A4').expect(400);
    await print(slip, 'quote', 'label').expect(400);
    const none = await print(slip, 'lead-labels', 'label').expect(409);
    expect((none.body as { detail: string }).detail).toMatch(/measure them first/);
  });
});

describe('a tool that is lent', () => {
  const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);
  const lend = (slip: Slip, more: object = {}) =>
    write(wren, 'post', `/api/slips/${slip.slipId}/loans`, {
      tool: 'Magnetic socket, 16 mm',
      depositMinor: 2500,
      dueOn: day(7),
      ...more,
    });
  test('goes to somebody, to a day within three months, and its note says deposit and day', async () => {
    await lend(await slipFor('skerrow-sc20')).expect(409);
    const slip = await slipFor('skerrow-sc20', 'plug', { customer: 'Hesper Lowmoor' });
    await print(slip, 'loan-note', 'A5').expect(409);
    await lend(slip, { dueOn: day(-2) }).expect(400);
    await lend(slip, { dueOn: day(200) }).expect(400);
    await lend(slip).expect(201);
    await lend(slip, { tool: 'Thread chaser', depositMinor: 1250 }).expect(201);
    const text = textOf(await printed(slip, 'loan-note', 'A5'));
    expect(text).toContain('Magnetic socket, 16 mm £25.00');
    expect(text).toContain('Deposits £37.50');
    expect(text).toContain('Hesper Lowmoor');
  });

  test('is overdue after its day, stands first, and is settled once: back, or sold for its deposit', async () => {
    const slip = await slipFor('skerrow-sc20', 'plug', { customer: 'Tobit Garthside' });
    const loan = (await lend(slip).expect(201)).body as ToolLoan;
    await counter.owner
      .updateTable('tool_loan')
      .set({ due_on: day(-3) })
      .where('id', '=', loan.loanId)
      .execute();
    const list = async () => ((await wren.get('/api/loans').expect(200)).body as { loans: ToolLoan[] }).loans;
    const out = (await list()).filter(({ settled }) => settled === null);
    expect(out.find(({ loanId }) => loanId === loan.loanId)).toMatchObject({ isOverdue: true });
    expect(out.map(({ dueOn }) => dueOn)).toEqual(out.map(({ dueOn }) => dueOn).sort());
    const settle = (as: string) => write(wren, 'post', `/api/loans/${loan.loanId}/settle`, { as });
    await settle('lost').expect(400);
    expect((await settle('sold').expect(200)).body).toMatchObject({
      settled: { as: 'sold', by: 'Wren' },
      isOverdue: false,
    });
    await settle('back').expect(409);
    await (await counter.as('editor')).get('/api/loans').expect(403);
  });
});

describe('the card of a job that opens the engine', () => {
  test('tells lubricant by place, fasteners and what may break, line by line; what is only within reach is on no paper', async () => {
    const slip = await slipFor('skerrow-sh28');
    const text = textOf(await printed(slip, 'fitting-card', 'A4')).replaceAll(/\s+/g, ' ');
    for (const says of [
      'Thread: None: the plating, nickel, is its own release. (the plug maker)',
      'Nothing that conducts.',
      '8 × Intake stud nut, M8. Back to',
      'renewed, never used again; the four long studs at the rear.',
      'Buy. Intake gaskets: never the old ones again. Renewed whenever it comes off, by the engine maker.',
      'Hold: sale or return, unopened. Intake studs come out with their nuts',
    ])
      expect(text).toContain(says);
    expect(text).not.toMatch(/breather|Knock sensor/);
    const kept = {
      kind: 'fragile',
      isOpenedBefore: null,
      isOverTenYears: null,
      seenBroken: ['Crankcase breather hose under the intake.'],
    };
    await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, { version: slip.version, kept }).expect(200);
    const seen = textOf(await printed(slip, 'fitting-card', 'A5')).replaceAll(/\s+/g, ' ');
    expect(seen).toContain('Crankcase breather hose under the intake. Seen worn or broken on this vehicle.');
    expect(seen).not.toContain('Knock sensor');
  });

  test('of coils by themselves has their own order of work and no gap', async () => {
    const slip = await slipFor('ostrel-of16t', 'coil');
    const text = textOf(await printed(slip, 'fitting-card', 'A5')).replaceAll(/\s+/g, ' ');
    expect(text).toContain(slip.lines[0]!.printed);
    expect(text).toContain('The new coil held beside the old');
    expect(text).toContain('Engine cold.');
    expect(text).not.toMatch(/Gaps:|by hand for the whole thread/);
  });
});
