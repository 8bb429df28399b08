import { SUPPLY_TOLD } from '../../testing/supply-told.ts';
import { toldAs } from '../../testing/told-as.ts';
import { rotorSupply } from './rotor-supply.ts';

toldAs(rotorSupply, SUPPLY_TOLD);
