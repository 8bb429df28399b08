/** One renaming: `from` was replaced by `to`, for the engines of the condition where it is one of several. */
export interface Renaming {
  readonly from: string;
  readonly to: string;
  readonly condition: string | null;
  /** The engines it stands for, where the maker names them. */
  readonly engineIds?: readonly string[] | null;
}

/** Where an old number leads. Part numbers: Successors; old numbers always resolve. */
export type Succession =
  | { readonly kind: 'current' }
  | { readonly kind: 'replaced'; readonly by: string; readonly chain: readonly string[] }
  /** Replaced by several: each stands for some engines. `decided` is false where a condition is missing, an editor's error. */
  | {
      readonly kind: 'split';
      readonly at: string;
      readonly into: readonly { readonly id: string; readonly condition: string | null }[];
      readonly decided: boolean;
    }
  | { readonly kind: 'loop'; readonly ring: readonly string[] };

/** Where a number splits, the successor that its maker names for the engine; all of them where none is named for it. */
function forEngine(onward: readonly Renaming[], engineId: string | undefined): readonly Renaming[] {
  if (engineId === undefined) return onward;
  const named = onward.filter(({ engineIds }) => engineIds?.includes(engineId));
  return named.length > 0 ? named : onward;
}

/**
 * Follows a number's renamings to the number that stands today, or says what keeps it from one. A split is decided by the
 * engine where its successors are named by engine.
 */
export function followSupersession(start: string, renamings: readonly Renaming[], engineId?: string): Succession {
  const chain = [start];
  for (;;) {
    const here = chain.at(-1)!;
    const onward = forEngine(
      renamings.filter(({ from }) => from === here),
      engineId,
    );
    const into = [...new Map(onward.map((r) => [r.to, { id: r.to, condition: r.condition }])).values()];
    if (into.length > 1)
      return { kind: 'split', at: here, into, decided: into.every(({ condition }) => condition !== null) };
    if (into.length === 0)
      return chain.length === 1 ? { kind: 'current' } : { kind: 'replaced', by: here, chain: chain.slice(1) };
    const next = into[0]!.id;
    const again = chain.indexOf(next);
    if (again >= 0) return { kind: 'loop', ring: chain.slice(again) };
    chain.push(next);
  }
}

/** Every ring of renamings, each once, beginning with its smallest member; iterative, so that a long chain is no danger. */
export function supersessionRings(renamings: readonly Pick<Renaming, 'from' | 'to'>[]): string[][] {
  const onward = new Map<string, string[]>();
  for (const { from, to } of renamings) onward.set(from, [...(onward.get(from) ?? []), to]);
  const done = new Set<string>();
  const rings = new Map<string, string[]>();
  for (const start of onward.keys()) {
    if (done.has(start)) continue;
    const path: string[] = [];
    const placeOf = new Map<string, number>();
    const stack: { at: string; next: number }[] = [{ at: start, next: 0 }];
    path.push(start);
    placeOf.set(start, 0);
    while (stack.length > 0) {
      const top = stack.at(-1)!;
      const to = onward.get(top.at)?.[top.next];
      top.next += 1;
      if (to === undefined) {
        stack.pop();
        path.pop();
        placeOf.delete(top.at);
        done.add(top.at);
      } else if (placeOf.has(to)) {
        const ring = path.slice(placeOf.get(to));
        const smallest = ring.reduce((a, b) => (b.length < a.length || (b.length === a.length && b < a) ? b : a));
        const at = ring.indexOf(smallest);
        const turned = [...ring.slice(at), ...ring.slice(0, at)];
        rings.set(turned.join(' '), turned);
      } else if (!done.has(to)) {
        stack.push({ at: to, next: 0 });
        placeOf.set(to, path.length);
        path.push(to);
      }
    }
  }
  return [...rings.values()];
}
