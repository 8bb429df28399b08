import { CONNECTOR_WORDS } from '@brackenfell/core/coils/connector-words';
import { TOPOLOGY_WORDS } from '@brackenfell/core/coils/checks/topology';
import { rulingValue, type FactId, type FactSheet } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Say } from '@brackenfell/core/fitment/say';
import { LEAD_BOOTS } from '@brackenfell/core/facts/lead-facts';
import { BOOT_WORDS } from '@brackenfell/core/leads/say-route';
import { form, type LineForm } from './line-form.ts';

const of = <K extends FactId>(
  label: string,
  group: LineForm['group'],
  fact: K,
  print: (value: NonNullable<ReturnType<typeof rulingValue<K>>>, say: Say, sheet: FactSheet) => string,
  isFigure = true,
): LineForm =>
  form(label, group, [fact], isFigure, (_, say, sheet) => {
    const value = rulingValue(sheet, fact);
    return value === undefined ? undefined : print(value, say, sheet);
  });

/** Each lead's route: where it goes, how long, and which boots clear there. */
const routesOf = (say: Say, sheet: FactSheet): { of: string; value: string }[] =>
  (rulingValue(sheet, 'leadsAsked.routes') ?? []).map(({ to, routedMm, boots }) => {
    const bent = boots.length === LEAD_BOOTS.length ? '' : ` ${boots.map((boot) => BOOT_WORDS[boot]).join('/')}`;
    return { of: to, value: `${say.quantity('lead-length', routedMm)}${bent}` };
  });

/** What is asked of the parts besides plugs, line by line, in the order of their checks. */
export const OTHER_LINES: Readonly<Record<Exclude<PartKind, 'plug'>, readonly LineForm[]>> = {
  coil: [
    of('Form', 'form', 'coilAsked.topology', (value) => TOPOLOGY_WORDS[value], false),
    of('Towers', 'form', 'coilAsked.towersCount', String),
    of(
      'Connector',
      'form',
      'coilAsked.connector',
      (value, _, sheet) => `${rulingValue(sheet, 'coilAsked.pinsCount') ?? '?'} pins, ${CONNECTOR_WORDS[value]}`,
      false,
    ),
    of('Driver', 'form', 'coilAsked.builtInDriver', (value) => (value ? 'inside' : 'not inside'), false),
    of(
      'Mounting',
      'form',
      'coilAsked.mounting',
      ({ holes, spacingMm, threadMm }) => `${holes} × M${threadMm}${holes > 1 ? `, ${spacingMm} mm` : ''}`,
    ),
    of('Boot', 'form', 'coilAsked.bootLengthMm', (value, say) => say.quantity('length', value)),
    of('Primary', 'windings', 'coilAsked.primaryOhm', (value, say) =>
      typeof value === 'number' ? say.quantity('coil-primary', value) : say.span('coil-primary', value),
    ),
    of('Secondary', 'windings', 'coilAsked.secondaryKohm', (value, say) =>
      say.quantity('coil-secondary', value * 1000),
    ),
    of('Spark', 'windings', 'coilAsked.sparkPolarity', (value) => value, false),
    of(
      'Revision',
      'windings',
      'coilAsked.revisions',
      (value, _, sheet) =>
        `${value.join(', ')}${rulingValue(sheet, 'coilAsked.oneRevision') === true ? ', never mixed' : ''}`,
      false,
    ),
  ],
  'lead-set': [
    form(
      'Routes to',
      'form',
      ['leadsAsked.routes'],
      true,
      (_, say, sheet) =>
        routesOf(say, sheet)
          .map((route) => `${route.of}: ${route.value}`)
          .join('; '),
      routesOf,
    ),
    of('Ends', 'form', 'leadsAsked.source', (value) => value, false),
    of('Resistance', 'windings', 'leadsAsked.kohmPerM', (value, say) =>
      say.span('lead-resistance', { low: value.low * 1000, high: value.high * 1000 }),
    ),
  ],
  cap: [
    of('Towers', 'form', 'capAsked.towersCount', String),
    of('Ends', 'form', 'capAsked.towerForm', (value) => value, false),
    of('Fixing', 'form', 'capAsked.fixing', (value) => value, false),
    of('Index', 'form', 'capAsked.indexDeg', (value) => `${value}°`),
    of('Contacts', 'form', 'capAsked.contactRadiusMm', (value, say) => say.quantity('length', value)),
  ],
  rotor: [
    of('Seat', 'form', 'rotorAsked.shaft', (value) => value, false),
    of('Tip', 'form', 'rotorAsked.tipRadiusMm', (value, say) => say.quantity('length', value)),
    of('Height', 'form', 'rotorAsked.heightMm', (value, say) => say.quantity('length', value)),
    of('Resistance', 'windings', 'rotorAsked.resistanceKohm', (value, say) =>
      say.span('plug-resistor', { low: value.low * 1000, high: value.high * 1000 }),
    ),
  ],
};
