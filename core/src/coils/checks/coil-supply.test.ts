import { SUPPLY_TOLD } from '../../testing/supply-told.ts';
import { toldAs } from '../../testing/told-as.ts';
import { coilSupply } from './coil-supply.ts';

toldAs(coilSupply, SUPPLY_TOLD);
