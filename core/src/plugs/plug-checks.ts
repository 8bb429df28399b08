import type { Check } from '../fitment/define-check.ts';
import { classList } from './checks/class-list.ts';
import { depth } from './checks/depth.ts';
import { electrode } from './checks/electrode.ts';
import { gap } from './checks/gap.ts';
import { grounds } from './checks/grounds.ts';
import { heat } from './checks/heat.ts';
import { hexAndWell } from './checks/hex-and-well.ts';
import { length } from './checks/length.ts';
import { polarity } from './checks/polarity.ts';
import { reach } from './checks/reach.ts';
import { resistor } from './checks/resistor.ts';
import { seat } from './checks/seat.ts';
import { shell } from './checks/shell.ts';
import { supply } from './checks/supply.ts';
import { terminal } from './checks/terminal.ts';
import { thread } from './checks/thread.ts';

/** The sixteen checks in the order a hand meets the plug: the order of judging, of telling and of the tray's columns. */
export const PLUG_CHECKS: readonly Check[] = [
  thread,
  reach,
  seat,
  depth,
  hexAndWell,
  length,
  terminal,
  gap,
  electrode,
  polarity,
  grounds,
  heat,
  resistor,
  shell,
  classList,
  supply,
];
