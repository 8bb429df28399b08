import { COIL_CHECKS } from '../coils/coil-checks.ts';
import { CAP_CHECKS, ROTOR_CHECKS } from '../distributor/distributor-checks.ts';
import { LEAD_CHECKS } from '../leads/lead-checks.ts';
import { PLUG_CHECKS } from '../plugs/plug-checks.ts';
import type { Check } from '../fitment/define-check.ts';
import type { PartKind } from '../facts/part-kinds.ts';

/** The checks of each kind of part, in their order on screen. */
export const CHECKS_BY_KIND: Readonly<Record<PartKind, readonly Check[]>> = {
  plug: PLUG_CHECKS,
  coil: COIL_CHECKS,
  'lead-set': LEAD_CHECKS,
  cap: CAP_CHECKS,
  rotor: ROTOR_CHECKS,
};

/** What a check is called; one of an earlier release that is no more goes by its name. */
export const checkTitle = (id: string): string =>
  Object.values(CHECKS_BY_KIND)
    .flat()
    .find((check) => check.id === id)?.title ?? id;
