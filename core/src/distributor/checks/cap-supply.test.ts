import { SUPPLY_TOLD } from '../../testing/supply-told.ts';
import { toldAs } from '../../testing/told-as.ts';
import { capSupply } from './cap-supply.ts';

toldAs(capSupply, SUPPLY_TOLD);
