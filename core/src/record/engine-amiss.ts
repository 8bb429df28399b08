/** What the rules below look at in an engine’s record. */
interface EngineStated {
  readonly builds: readonly {
    readonly label: string;
    readonly from?: string | undefined;
    readonly to?: string | undefined;
  }[];
  readonly plan?:
    | { readonly banks: readonly { readonly cylinders: readonly number[] }[]; readonly firingOrder: readonly number[] }
    | undefined;
  readonly positions: readonly {
    readonly kind: string;
    readonly cylinder: number;
    readonly place: string;
    readonly build?: string | undefined;
    readonly figures: readonly { readonly fact: string }[];
  }[];
  readonly vehicles: readonly { readonly model: string; readonly from: number; readonly to?: number | undefined }[];
}

/** Something in a record that cannot be, and where. */
export interface Amiss {
  /** As in a path of the record: `positions.3.build`. */
  readonly at: string;
  readonly says: string;
}

const ASKED_OF: Readonly<Record<string, string>> = {
  plug: 'position.',
  coil: 'coilAsked.',
  'lead-set': 'leadsAsked.',
  cap: 'capAsked.',
  rotor: 'rotorAsked.',
};

/** What in an engine’s record contradicts itself, whatever the engine: builds, places, figures, plan, years. */
export function amissInEngine({ builds, plan, positions, vehicles }: EngineStated): Amiss[] {
  const found: Amiss[] = [];
  const say = (at: string, says: string) => found.push({ at, says });
  const labels = builds.map(({ label }) => label);
  builds.forEach(({ label, from, to }, i) => {
    if (labels.indexOf(label) !== i) say(`builds.${i}.label`, `Two builds are called “${label}”.`);
    if (from !== undefined && to !== undefined && from > to) say(`builds.${i}.to`, `“${label}” ends before it begins.`);
  });
  const places = positions.map(({ kind, cylinder, place, build }) => `${kind} ${cylinder} ${place} ${build ?? ''}`);
  positions.forEach(({ kind, build, figures }, i) => {
    if (places.indexOf(places[i]!) !== i) say(`positions.${i}`, 'The same place stands twice.');
    if (build !== undefined && !labels.includes(build)) say(`positions.${i}.build`, `No build is called “${build}”.`);
    figures.forEach(({ fact }, f) => {
      if (!fact.startsWith(ASKED_OF[kind] ?? '?'))
        say(`positions.${i}.figures.${f}.fact`, `A place of a ${kind} asks nothing of that name.`);
    });
  });
  const plugged = new Set(positions.filter(({ kind }) => kind === 'plug').map(({ cylinder }) => cylinder));
  if (plugged.size === 0) say('positions', 'An engine has at least one place of a plug.');
  if (plan) {
    const standing = plan.banks.flatMap(({ cylinders }) => cylinders);
    if (new Set(standing).size !== standing.length) say('plan.banks', 'A cylinder stands in it twice.');
    if (!isSame(new Set(standing), plugged)) say('plan.banks', 'Its cylinders are not those that have plugs.');
    if (!isSame(new Set(plan.firingOrder), new Set(standing)) || plan.firingOrder.length !== standing.length)
      say('plan.firingOrder', 'Every cylinder fires once.');
  }
  vehicles.forEach(({ model, from, to }, i) => {
    if (to !== undefined && to < from) say(`vehicles.${i}.to`, `${model} ends before it begins.`);
  });
  return found;
}

const isSame = (a: ReadonlySet<number>, b: ReadonlySet<number>): boolean =>
  a.size === b.size && [...a].every((one) => b.has(one));
