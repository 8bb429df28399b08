import { SUPPLY_TOLD } from '../../testing/supply-told.ts';
import { toldAs } from '../../testing/told-as.ts';
import { supply } from './supply.ts';

toldAs(supply, SUPPLY_TOLD);
