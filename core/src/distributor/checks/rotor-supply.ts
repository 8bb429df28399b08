import { supplyCheck } from '../../fitment/supply-check.ts';

export const rotorSupply = supplyCheck('rotor.supply');
