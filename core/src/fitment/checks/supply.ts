import { supplyCheck } from '../supply-check.ts';

export const supply = supplyCheck('plug.supply');
