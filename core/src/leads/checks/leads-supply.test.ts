import { SUPPLY_TOLD } from '../../testing/supply-told.ts';
import { toldAs } from '../../testing/told-as.ts';
import { leadsSupply } from './leads-supply.ts';

toldAs(leadsSupply, SUPPLY_TOLD);
