import { supplyCheck } from '../../fitment/supply-check.ts';

export const supply = supplyCheck('plug.supply');
