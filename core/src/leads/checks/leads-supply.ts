import { supplyCheck } from '../../fitment/supply-check.ts';

export const leadsSupply = supplyCheck('leads.supply');
