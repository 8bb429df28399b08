import { useQuery } from '@tanstack/react-query';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { HouseRules } from '@brackenfell/core/house-rules/house-rules';
import type { SetUp } from '@brackenfell/contract/set-up';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { call } from '../wire/call.ts';
import { UNTIL_BACK } from '../wire/until-back.ts';

/** A place of the engine with its sheets as core reads them. */
export interface PlaceOfSetUp {
  readonly label: string;
  readonly onPaper: FactSheet;
  readonly asked: FactSheet;
  readonly rules: HouseRules;
}

export interface OpenSetUp extends Pick<SetUp, 'engine' | 'part' | 'partMaker' | 'coil'> {
  readonly plug: FactSheet;
  readonly places: readonly PlaceOfSetUp[];
}

// Each value is as core declares its fact: the server has checked it by that very declaration.
const sheet = (view: SetUp['plug']): FactSheet => view as unknown as FactSheet;

const open = ({ plug, places, ...setUp }: SetUp): OpenSetUp => ({
  ...setUp,
  plug: sheet(plug),
  places: places.map(({ label, onPaper, asked, rules }) => ({
    label,
    onPaper: sheet(onPaper),
    asked: sheet(asked),
    rules: rules as unknown as HouseRules,
  })),
});

/** What a line of plugs is set up by: paper, this vehicle, the coil on the slip or the engine's own, rules and duty. */
export function useSetUp(slip: Slip, line: SlipLine | undefined, engineId: string | undefined) {
  const coil = slip.lines.find(({ partKind, kind }) => partKind === 'coil' && kind === 'sale')?.partId;
  const { slipId, duty, build, version } = slip;
  const reckonedFor = [engineId, line?.partId, slipId, build, duty].join(' ');
  return useQuery({
    queryKey: ['set up', reckonedFor, version, coil],
    queryFn: async () =>
      open(
        await call('getSetUp', {
          params: { engineId: engineId! },
          query: {
            part: line!.partId,
            slip: slipId,
            ...(duty ? { duty } : {}),
            ...(build ? { build } : {}),
            ...(coil ? { coil } : {}),
          },
        }),
      ),
    enabled: engineId !== undefined && line !== undefined,
    staleTime: 0,
    ...UNTIL_BACK,
    // Of another engine, part, build or duty nothing stands.
    placeholderData: (before, query) => (query?.queryKey[1] === reckonedFor ? before : undefined),
  });
}
