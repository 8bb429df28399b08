import { rulingValue } from '@brackenfell/core/facts/facts';
import type { EngineBuild } from '@brackenfell/core/identification/traits';
import type { BuildChoice } from '@brackenfell/contract/tray';
import type { AskedPosition } from './asked.ts';

/** The builds of an engine that ask different coils, with what can be seen of each. */
export function buildChoices(positions: readonly AskedPosition[], builds: readonly EngineBuild[]): BuildChoice[] {
  return builds.flatMap(({ label }) => {
    const sheet = positions.find(({ build }) => build === label)?.sheet;
    if (!sheet) return [];
    return [
      {
        label,
        connector: rulingValue(sheet, 'coilAsked.connector') ?? null,
        pins: rulingValue(sheet, 'coilAsked.pinsCount') ?? null,
        bootAngleDeg: rulingValue(sheet, 'coilAsked.bootAngleDeg') ?? null,
        bootLengthMm: rulingValue(sheet, 'coilAsked.bootLengthMm') ?? null,
        revision: rulingValue(sheet, 'coilAsked.revisions')?.[0] ?? null,
      },
    ];
  });
}

const LOOK_AT = [
  ['connector', 'look at the connector’s face'],
  ['pins', 'count the pins'],
  ['bootAngleDeg', 'look whether the boot is straight or stepped'],
  ['revision', 'read the revision on the coil'],
] as const satisfies readonly (readonly [keyof BuildChoice, string])[];

/** What settles which build it is: its date or serial number, or what differs to the eye. */
export function buildQuestion(positions: readonly AskedPosition[], builds: readonly EngineBuild[]): string {
  const choices = buildChoices(positions, builds);
  const seen = LOOK_AT.filter(([trait]) => new Set(choices.map((choice) => choice[trait])).size > 1);
  const labels = choices.map(({ label }) => label).join(', or ');
  const or = seen.length === 0 ? '' : ` Or ${seen.map(([, how]) => how).join(', or ')}.`;
  const isBySerial = builds.some(({ fromSerial, toSerial }) => (fromSerial ?? toSerial) !== undefined);
  return `${isBySerial ? 'Which serial number has it' : 'When was it built'}: ${labels}?${or}`;
}
