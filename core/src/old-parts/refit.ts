/** What befell a plug. */
export const EVENTS = [
  'none',
  'detonation',
  'debris',
  'backfire',
  'dropped',
  'overtightened',
  'cross-threaded',
  'cut',
  'coolant',
] as const;
export type PlugEvent = (typeof EVENTS)[number];
export const EVENT_WORDS: Readonly<Record<PlugEvent, string>> = {
  none: 'only taken out',
  detonation: 'ran with detonation',
  debris: 'debris went through the engine',
  backfire: 'backfired',
  dropped: 'dropped',
  overtightened: 'overtightened',
  'cross-threaded': 'cross-threaded',
  cut: 'electrode cut or changed',
  coolant: 'soaked in coolant',
};
export const GASKETS = ['fixed', 'loose', 'taper'] as const;
export type GasketKind = (typeof GASKETS)[number];

export interface Befell {
  readonly event: PlugEvent;
  /** A fine wire or a precious tip. */
  readonly isFineTip: boolean;
  readonly gasket: GasketKind;
  readonly wasFitted: boolean;
  readonly isOpened: boolean;
}

export const FATES = ['discard', 'regauge', 'refit'] as const;
export type Fate = (typeof FATES)[number];
export const FATE_WORDS: Readonly<Record<Fate, string>> = {
  discard: 'Discard',
  regauge: 'Inspect and gauge again',
  refit: 'Refit',
};

const DISCARD: Readonly<Partial<Record<PlugEvent, string>>> = {
  overtightened: 'Its shell is stretched: it no longer holds the insulator as it should.',
  'cross-threaded': 'Its thread is cut across, and would cut the head’s.',
  cut: 'A changed electrode is no plug of its maker any more.',
  detonation: 'Its insulator may be cracked where nobody sees it, and the next one is the piston’s.',
  debris: 'What passed the tip may have cracked what cannot be seen.',
  coolant: 'Coolant leaves a salt that leads the spark away when it is hot.',
};

/** What becomes of a plug that something befell, why, its gasket, and whether it may go back on the shelf. Old parts: Refit. */
export function fateOf({ event, isFineTip, gasket, wasFitted, isOpened }: Befell): {
  readonly fate: Fate;
  readonly says: readonly string[];
  readonly mayRestock: boolean;
} {
  const why = DISCARD[event];
  const mayRestock = event === 'none' && !wasFitted && !isOpened;
  const shelf = mayRestock
    ? 'Never opened, never fitted: it may go back on the shelf.'
    : 'Not back on the shelf: never what was fitted, dropped or opened.';
  if (why !== undefined) return { fate: 'discard', says: [why, shelf], mayRestock };
  const seat = !wasFitted
    ? []
    : [
        gasket === 'taper'
          ? 'Its cone wiped clean; no gasket.'
          : 'Its gasket is crushed already: a used one turns a twelfth, not the half of a new one.',
      ];
  const brush = isFineTip ? ['No wire brush: a fine or precious tip comes off under it.'] : [];
  if (event === 'none')
    return { fate: 'refit', says: ['Its gap is gauged before it goes in.', ...seat, ...brush, shelf], mayRestock };
  return {
    fate: 'regauge',
    says: [
      event === 'dropped'
        ? 'Gauge its gap, look for a crack; a hidden one shows only under load, and that is told.'
        : 'Look at the insulator with a lamp and gauge its gap; a hidden crack shows only under load.',
      ...seat,
      ...brush,
      shelf,
    ],
    mayRestock,
  };
}
