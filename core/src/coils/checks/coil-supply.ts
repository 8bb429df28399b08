import { supplyCheck } from '../../fitment/supply-check.ts';

export const coilSupply = supplyCheck('coil.supply');
