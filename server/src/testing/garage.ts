import type { GarageVehicle } from '@brackenfell/contract/garage';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, rowOf, write } from './counter.ts';

/** A counter of its own whose customers have vehicles, and a shelf that no test empties. */
export async function openGarage() {
  const counter = await openTestCounter();
  const wren = await counter.as('specialist');
  const supervisor = await counter.as('supervisor');
  await counter.owner.updateTable('stock').set({ on_hand: 900 }).execute();

  async function slipOf(details: object): Promise<Slip> {
    return (await write(wren, 'post', '/api/slips', details).expect(201)).body as Slip;
  }

  async function withLine(slip: Slip, printed: string, more: object = {}): Promise<Slip> {
    const { partId } = rowOf(await fetchTray(wren, slip.engineId!), printed);
    const body = { version: slip.version, partId, ...more };
    return (await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, body).expect(201)).body as Slip;
  }

  async function remember(slip: Slip, vehicleId: string | null = null): Promise<Slip> {
    const body = { version: slip.version, vehicleId };
    return (await write(wren, 'post', `/api/slips/${slip.slipId}/remember`, body).expect(200)).body as Slip;
  }

  const collect = async (slip: Slip): Promise<Slip> =>
    (await write(wren, 'post', `/api/slips/${slip.slipId}/collect`, { version: slip.version }).expect(200))
      .body as Slip;

  const vehicle = async (id: string): Promise<GarageVehicle> =>
    (await wren.get(`/api/garage/vehicles/${id}`).expect(200)).body as GarageVehicle;

  /** A customer’s car with its plugs sold to it. */
  async function served(customer: string, plate: string): Promise<{ slip: Slip; vehicleId: string }> {
    const begun = await slipOf({
      customer,
      phone: '01632 960 144',
      vehicle: `Aldersyke Merrin 2.2, ${plate}`,
      engineId: 'aldersyke-as22',
    });
    const remembered = await remember(await withLine(begun, 'KN 426G-63IR'));
    return { slip: await collect(remembered), vehicleId: remembered.garage!.vehicleId };
  }

  return { counter, wren, supervisor, slipOf, withLine, remember, collect, vehicle, served };
}
export type Garage = Awaited<ReturnType<typeof openGarage>>;
