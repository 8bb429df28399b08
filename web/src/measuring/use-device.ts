import { useEffect, useState } from 'react';
import type { DeviceKind } from '@brackenfell/core/authenticity/measured';
import {
  simulatedDevice,
  type DeviceState,
  type Laid,
  type SimulatedDevice,
} from '@brackenfell/stand-ins/measuring-device';

/** What is plugged into this counter. Real devices take these places behind the same interface. */
const DEVICES: Readonly<Record<DeviceKind, SimulatedDevice>> = {
  gauge: simulatedDevice('gauge'),
  ohmmeter: simulatedDevice('ohmmeter'),
  scale: simulatedDevice('scale'),
};

/** Reads a device while it is wanted, with the piece laid in that a simulated one has to be told of. */
export function useDevice(kind: DeviceKind | undefined, laid: Laid | undefined) {
  const [state, setState] = useState<DeviceState>();
  const device = kind === undefined ? undefined : DEVICES[kind];
  const { quantity, nominal, batchCode, piece } = laid ?? { quantity: '', nominal: 0, batchCode: '', piece: 0 };
  useEffect(() => {
    if (!device) return undefined;
    if (quantity !== '') device.lay({ quantity, nominal, batchCode, piece });
    const stop = device.watch(setState);
    return () => {
      stop();
      setState(undefined);
    };
  }, [device, quantity, nominal, batchCode, piece]);
  return { device, state };
}
