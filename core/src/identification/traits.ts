/** Where the ignition leads of an engine go, as seen under the bonnet. */
export const LEADS_GO = ['coil-each', 'pack', 'cap', 'single-lead'] as const;
export const LAYOUTS = [
  'one',
  'twin',
  'three',
  'four',
  'five',
  'six',
  'vee-four',
  'vee-six',
  'vee-eight',
  'flat-four',
] as const;

/** What tells engines apart at the counter, the vehicle or the bench. A trait left out is not known. */
export interface EngineTraits {
  readonly litres?: number;
  readonly fuel?: 'petrol' | 'gas';
  readonly layout?: (typeof LAYOUTS)[number];
  readonly leadsGo?: (typeof LEADS_GO)[number];
  readonly plugsPerCylinder?: number;
  readonly boosted?: boolean;
  readonly cooling?: 'air' | 'water';
  readonly coilPins?: number;
  readonly coilBoot?: 'straight' | 'stepped';
  /** A water-cooled cooler of the charge, which may leak into the intake. */
  readonly chargeCooler?: boolean;
  readonly carburettor?: boolean;
}

/** One build of an engine where something was changed by date or by serial number. Months as YYYY-MM; all inclusive. */
export interface EngineBuild {
  readonly label: string;
  readonly from?: string;
  readonly to?: string;
  readonly fromSerial?: number;
  readonly toSerial?: number;
  readonly traits: EngineTraits;
}
