import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import ICAL from 'ical.js';
import type { DueLine, GarageVehicle } from '@brackenfell/contract/garage';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, rowOf, write } from '../testing/counter.ts';
import { openGarage, type Garage } from '../testing/garage.ts';

let on: Garage;
let counter: Garage['counter'];
let wren: Garage['wren'];
let slipOf: Garage['slipOf'];
let withLine: Garage['withLine'];
let remember: Garage['remember'];
let collect: Garage['collect'];
let vehicle: Garage['vehicle'];
let served: Garage['served'];
beforeAll(async () => {
  on = await openGarage();
  ({ counter, wren, slipOf, withLine, remember, collect, vehicle, served } = on);
});
afterAll(() => on.counter.close());

const day = (offset: number): string => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

/** An answer that is no JSON, as text. */
const asText = (res: object, done: (error: Error | null, body: string) => void): void => {
  const chunks: Buffer[] = [];
  (res as NodeJS.ReadableStream)
    .on('data', (chunk: Buffer) => chunks.push(chunk))
    .on('end', () => done(null, Buffer.concat(chunks).toString('utf8')));
};

const read = (vehicleId: string, on: string, served: number, more: object = {}) =>
  write(wren, 'post', `/api/garage/vehicles/${vehicleId}/readings`, { on, served, how: 'read', ...more });

describe('a vehicle that a slip remembers', () => {
  test('has plate, name, engine and customer, and what was sold to it sits in it with its interval', async () => {
    const { vehicleId, slip } = await served('Dorrit Vane', 'CW-2001');
    const book = await vehicle(vehicleId);
    expect(book).toMatchObject({ plate: 'CW-2001', called: 'Aldersyke Merrin 2.2', engine: 'Aldersyke AS22' });
    expect(book.customer).toMatchObject({ name: 'Dorrit Vane', phone: '01632 960 144', vehicles: 1 });
    expect(book.fitted).toMatchObject([
      {
        printed: 'KN 426G-63IR',
        quantity: 4,
        how: 'known',
        isCurrent: true,
        on: day(0),
        slip: { docket: slip.docket },
      },
    ]);
    // The engine maker says 140 000 km; the part's own life may be less, never more.
    expect(book.fitted[0]!.interval).toBeGreaterThan(0);
    expect(book.fitted[0]!.interval).toBeLessThanOrEqual(140_000);
    expect(book.growthMm).toBeGreaterThan(0);
    expect(book.slips.map(({ docket }) => docket)).toEqual([slip.docket]);
  });

  test('is found by plate however it is spaced, by name and by phone, and its customer is written once', async () => {
    await served('Dorrit Vane', 'CW-2002');
    for (const q of ['cw 2002', 'CW2002', 'dorrit', '01632960144', '960 144']) {
      const { body } = await wren.get('/api/garage').query({ q }).expect(200);
      expect((body as { vehicles: { plate: string }[] }).vehicles.map(({ plate }) => plate)).toContain('CW-2002');
    }
    const { body } = await wren.get('/api/garage').query({ q: 'cw-2002' });
    const [line] = (body as { vehicles: { vehicleId: string }[] }).vehicles;
    expect((await vehicle(line!.vehicleId)).customer!.vehicles).toBeGreaterThan(1);
    await (await counter.as('editor')).get('/api/garage').expect(403);
  });

  test('fills the next slip that is begun for it: who, what, engine and build', async () => {
    const { vehicleId } = await served('Dorrit Vane', 'CW-2005');
    const next = await slipOf({ garageVehicleId: vehicleId, cameFor: 'Rough when cold' });
    expect(next).toMatchObject({
      customer: 'Dorrit Vane',
      phone: '01632 960 144',
      vehicle: 'Aldersyke Merrin 2.2, CW-2005',
      engineId: 'aldersyke-as22',
      cameFor: 'Rough when cold',
      garage: { vehicleId },
    });
    await write(wren, 'post', '/api/slips', { garageVehicleId: '999999' }).expect(400);
  });

  test('takes what was found on it along: a wrench that reaches nowhere is known on its next slip, and of no other engine', async () => {
    const begun = await slipOf({ customer: 'Orla Reed', vehicle: 'CW-2006', engineId: 'aldersyke-as22' });
    const first = await remember(begun);
    const found = { partId: null, fact: 'position.wrenchReaches', value: false, how: 'seen' };
    const path = `/api/slips/${first.slipId}/readings`;
    await write(wren, 'post', path, { version: first.version, ...found }).expect(201);
    const { vehicleId } = first.garage!;
    const next = await withLine(await slipOf({ garageVehicleId: vehicleId }), 'KN 426G-63IR');
    expect(next.readings).toMatchObject([
      { fact: 'position.wrenchReaches', value: false, by: expect.stringMatching(/^Wren, slip 0/) },
    ]);
    expect(next.lines[0]!.setUp[0]!.tightening.method).toBe('no-wrench-reaches');
    const other = await slipOf({ garageVehicleId: vehicleId, engineId: 'skerrow-sc20' });
    expect(other.readings).toEqual([]);
    // Tied only now, a line on it is judged again by what was found.
    const tied = await remember(
      await withLine(await slipOf({ engineId: 'aldersyke-as22' }), 'KN 426G-63IR'),
      vehicleId,
    );
    expect(tied.lines[0]!.setUp[0]!.tightening.method).toBe('no-wrench-reaches');
  });

  test('may be remembered after the sale: what was sold is written down then, and once', async () => {
    const sold = await collect(
      await withLine(await slipOf({ vehicle: 'CW-2003', engineId: 'aldersyke-as22' }), 'KN 426G-63IR'),
    );
    // Ten days later: what counts is the day its goods left the shelf.
    const lineId = sold.lines[0]!.lineId;
    const at = new Date(Date.now() - 10 * 86_400_000);
    await counter.owner.updateTable('stock_movement').set({ at }).where('slip_line_id', '=', lineId).execute();
    const remembered = await remember(sold);
    expect((await vehicle(remembered.garage!.vehicleId)).fitted).toMatchObject([{ on: day(-10), how: 'known' }]);
    expect((await vehicle(remembered.garage!.vehicleId)).fitted).toHaveLength(1);
    // At a second counter, that did not know: one vehicle still.
    const again = await remember(remembered);
    expect(again.garage!.vehicleId).toBe(remembered.garage!.vehicleId);
    expect((await vehicle(remembered.garage!.vehicleId)).fitted).toHaveLength(1);
  });

  test('does not keep the customer’s own part that must not be fitted', async () => {
    const begun = await slipOf({ vehicle: 'CW-2004', engineId: 'pellworth-pp20' });
    const refused = (await fetchTray(wren, 'pellworth-pp20', '')).rows.find(({ verdict }) => verdict === 'refuse');
    const own = refused && { partId: refused.partId, version: begun.version, kind: 'customers-own' };
    expect(own).toBeDefined();
    const added = (await write(wren, 'post', `/api/slips/${begun.slipId}/lines`, own!).expect(201)).body as Slip;
    const sold = await collect(await remember(await withLine(added, 'HB/9/55.C1')));
    expect((await vehicle(sold.garage!.vehicleId)).fitted.map(({ printed }) => printed)).toEqual(['HB/9/55.C1']);
  });
});

describe('what a vehicle has run', () => {
  test('is asked where it is less than before, and taken when that is meant; a day to come is refused', async () => {
    const { vehicleId } = await served('Ansel Reed', 'CW-2010');
    await read(vehicleId, day(-100), 80_000).expect(200);
    const asked = await read(vehicleId, day(0), 8_100).expect(400);
    expect((asked.body as { fields: Record<string, string> }).fields.served).toMatch(/80\s000 km .*already/);
    expect((await vehicle(vehicleId)).readings).toHaveLength(1);
    await read(vehicleId, day(0), 8_100, { isSure: true }).expect(200);
    await read(vehicleId, day(3), 90_000).expect(400);
    const [, second] = (await vehicle(vehicleId)).readings;
    const back = `/api/garage/vehicles/${vehicleId}/readings/${second!.readingId}/withdraw`;
    await write(wren, 'post', back, {}).expect(200);
    expect((await vehicle(vehicleId)).readings.map(({ served: run }) => run)).toEqual([80_000]);
  });

  test('makes a day of its plugs’ distance', async () => {
    const { vehicleId } = await served('Ansel Reed', 'CW-2011');
    await read(vehicleId, day(-100), 80_000).expect(200);
    const { body } = await read(vehicleId, day(0), 90_000).expect(200);
    const book = body as GarageVehicle;
    expect(book.usePerDay).toBeCloseTo(100, 6);
    const [due] = book.dues;
    const days = Math.ceil(book.fitted[0]!.interval! / 100);
    expect(due).toMatchObject({ kind: 'due', at: 90_000 + book.fitted[0]!.interval!, on: day(days), isPast: false });
  });

  test('counts a generator in hours', async () => {
    const begun = await slipOf({ vehicle: 'set 2', engineId: 'pellworth-pg66' });
    const { garage } = await remember(await withLine(begun, 'KN 417T-59IR'));
    const book = await vehicle(garage!.vehicleId);
    expect(book.countsIn).toBe('hours');
    await read(book.vehicleId, day(-10), 8_000).expect(200);
    // More hours than the days have.
    await read(book.vehicleId, day(0), 8_300).expect(400);
  });
});

describe('a record written by hand', () => {
  const fitted = (vehicleId: string, body: object) =>
    write(wren, 'post', `/api/garage/vehicles/${vehicleId}/fitted`, body);
  test('only said is due now, never fresh; known needs a day or a distance; one that a slip sold stays', async () => {
    const begun = await slipOf({ customer: 'Mabel Thorn', vehicle: 'CW-2020', engineId: 'aldersyke-as22' });
    const { garage } = await remember(begun);
    const { partId } = rowOf(await fetchTray(wren, 'aldersyke-as22'), 'KN 426G-63IR');
    const bare = { partId, quantity: 4, on: null, served: null };
    await fitted(garage!.vehicleId, { ...bare, how: 'known' }).expect(400);
    const { body } = await fitted(garage!.vehicleId, { ...bare, how: 'said' }).expect(200);
    expect((body as GarageVehicle).dues).toMatchObject([{ kind: 'history-unknown', isPast: true }]);
    const known = await fitted(garage!.vehicleId, { ...bare, on: day(-10), how: 'known' }).expect(200);
    const book = known.body as GarageVehicle;
    expect(book.fitted.map(({ isCurrent }) => isCurrent)).toEqual([false, true]);
    const path = (id: string) => `/api/garage/vehicles/${book.vehicleId}/fitted/${id}/withdraw`;
    await write(wren, 'post', path(book.fitted[1]!.fittedId), {}).expect(200);
    const { vehicleId } = await served('Mabel Thorn', 'CW-2021');
    const sold = (await vehicle(vehicleId)).fitted[0]!;
    await write(wren, 'post', `/api/garage/vehicles/${vehicleId}/fitted/${sold.fittedId}/withdraw`, {}).expect(409);
  });
});

describe('what is due', () => {
  test('is one list, one calendar with the same UIDs twice, and one sheet that a strict reader takes', async () => {
    const { vehicleId } = await served('=SUM(1), "Reeve"', 'CW-2030');
    await read(vehicleId, day(-40), 100).expect(200);
    await counter.owner
      .updateTable('fitted_record')
      .set({ interval: 1000, served: 100 })
      .where('vehicle_id', '=', vehicleId)
      .execute();
    await read(vehicleId, day(0), 1_200).expect(200);
    const { body } = await wren.get('/api/garage/due?days=7').expect(200);
    const dues = (body as { dues: DueLine[] }).dues;
    const own = dues.find((due) => due.vehicleId === vehicleId)!;
    expect(own).toMatchObject({ isPast: true, left: -100 });

    const calendar = async () => {
      const answer = await wren.get('/api/garage/due.ics?days=7').buffer(true).parse(asText).expect(200);
      expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
      const events = new ICAL.Component(ICAL.parse(String(answer.body)) as unknown[]).getAllSubcomponents('vevent');
      return events.map((event) => new ICAL.Event(event));
    };
    const [first, second] = [await calendar(), await calendar()];
    expect(first.map(({ uid }) => uid)).toEqual(second.map(({ uid }) => uid));
    expect(new Set(first.map(({ uid }) => uid)).size).toBe(dues.length);
    const event = first.find(({ uid }) => uid.startsWith(`due-${vehicleId}-`))!;
    expect(event.startDate.isDate).toBe(true);
    expect(event.startDate.toString()).toBe(day(0));
    expect(event.description).toContain('100 km past it');

    const sheet = await wren.get('/api/garage/due.csv?days=7').buffer(true).parse(asText).expect(200);
    const rows: Record<string, string>[] = parse(String(sheet.body), {
      columns: true,
      bom: true,
      relax_column_count: false,
    });
    const row = rows.find(({ plate }) => plate === 'CW-2030')!;
    // What a spreadsheet would reckon stands as text.
    expect(row).toMatchObject({ day: day(0), customer: '\'=SUM(1), "Reeve"', phone: '01632 960 144' });
    expect(rows).toHaveLength(dues.length);
  });
});

describe('advice that was declined', () => {
  test('is raised once on the next slip of that vehicle, and then never again', async () => {
    const { vehicleId } = await served('Orla Fenn', 'CW-2040');
    const says = 'Set of four boots: cracked at the shell';
    await write(wren, 'post', `/api/garage/vehicles/${vehicleId}/declined`, { says, priceMinor: 3160 }).expect(200);
    const next = await remember(await slipOf({ vehicle: 'CW-2040', engineId: 'aldersyke-as22' }), vehicleId);
    expect(next.garage!.toRaise).toMatchObject([{ says }]);
    const raised = `/api/garage/vehicles/${vehicleId}/declined/${next.garage!.toRaise[0]!.declinedId}/raise`;
    await write(wren, 'post', raised, { taken: false }).expect(200);
    await write(wren, 'post', raised, { taken: true }).expect(409);
    const after = (await wren.get(`/api/slips/${next.slipId}`).expect(200)).body as Slip;
    expect(after.garage!.toRaise).toEqual([]);
  });
});
