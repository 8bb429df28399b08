import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { Intent } from '../wire/outbox.ts';

type KeptOf<K extends SlipKept['kind']> = Extract<SlipKept, { readonly kind: K }>;

/** The latest of a kind: what was kept here and is on its way stands over what the server knows. */
export function lastKept<K extends SlipKept['kind']>(
  kind: K,
  engineId: string,
  stored: readonly SlipKept[],
  unsent: readonly Pick<Intent, 'name' | 'request'>[],
): KeptOf<K> | undefined {
  // What was read of another engine is none of this one's.
  const isOf = (one: SlipKept | undefined): one is KeptOf<K> =>
    one?.kind === kind && (!('engineId' in one) || one.engineId === engineId);
  const onItsWay = unsent.flatMap(({ name, request }) =>
    name === 'keepOnSlip' ? [request.body?.kept as SlipKept | undefined] : [],
  );
  return onItsWay.findLast(isOf) ?? stored.find(isOf);
}

/** The latest of every kind, what is on its way included. */
export const keptNow = (
  stored: readonly SlipKept[],
  unsent: readonly Pick<Intent, 'name' | 'request'>[],
): SlipKept[] => {
  const byKind = new Map(stored.map((one) => [one.kind, one]));
  for (const { name, request } of unsent)
    if (name === 'keepOnSlip') {
      const one = request.body?.kept as SlipKept;
      byKind.set(one.kind, one);
    }
  return [...byKind.values()];
};
