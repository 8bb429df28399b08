import type { Check } from '../fitment/define-check.ts';
import { boot } from './checks/boot.ts';
import { bootAngle } from './checks/boot-angle.ts';
import { coilSupply } from './checks/coil-supply.ts';
import { connector } from './checks/connector.ts';
import { driver } from './checks/driver.ts';
import { grip } from './checks/grip.ts';
import { mounting } from './checks/mounting.ts';
import { primary } from './checks/primary.ts';
import { revision } from './checks/revision.ts';
import { secondary } from './checks/secondary.ts';
import { sparkPolarity } from './checks/spark-polarity.ts';
import { topology } from './checks/topology.ts';
import { towers } from './checks/towers.ts';

/** The checks of a coil in the order a hand meets it: form, what plugs in, what holds it, what it reaches, its windings. */
export const COIL_CHECKS: readonly Check[] = [
  topology,
  towers,
  connector,
  driver,
  mounting,
  boot,
  bootAngle,
  grip,
  primary,
  secondary,
  sparkPolarity,
  revision,
  coilSupply,
];
