import type { Check } from '../fitment/define-check.ts';
import { capFixing } from './checks/cap-fixing.ts';
import { capIndex } from './checks/cap-index.ts';
import { capPair } from './checks/cap-pair.ts';
import { capSupply } from './checks/cap-supply.ts';
import { capTowerCount } from './checks/cap-towers.ts';
import { contactRadius } from './checks/contact-radius.ts';
import { rotorHeight } from './checks/rotor-height.ts';
import { rotorPair } from './checks/rotor-pair.ts';
import { rotorResistance } from './checks/rotor-resistance.ts';
import { rotorSupply } from './checks/rotor-supply.ts';
import { shaft } from './checks/shaft.ts';
import { tipRadius } from './checks/tip-radius.ts';
import { towerForm } from './checks/tower-form.ts';

/** The checks of a distributor cap, from outside in. */
export const CAP_CHECKS: readonly Check[] = [
  capTowerCount,
  towerForm,
  capFixing,
  capIndex,
  contactRadius,
  capPair,
  capSupply,
];

/** The checks of a rotor, from its seat outwards. */
export const ROTOR_CHECKS: readonly Check[] = [shaft, tipRadius, rotorHeight, rotorResistance, rotorPair, rotorSupply];
