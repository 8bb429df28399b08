import { supplyCheck } from '../../fitment/supply-check.ts';

export const capSupply = supplyCheck('cap.supply');
