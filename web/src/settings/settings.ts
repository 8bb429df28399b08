import { useSyncExternalStore } from 'react';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';

/** How this reader likes to read; kept on this machine. */
export interface Settings {
  readonly theme: 'system' | 'chalk' | 'night';
  readonly textSize: 100 | 125 | 150;
  readonly dense: boolean;
  /** Everything that is pressed is as large as a finger. */
  readonly touch: boolean;
  readonly units: UnitDisplay;
  readonly singleKeys: boolean;
}

const USUAL: Settings = {
  theme: 'system',
  textSize: 100,
  dense: false,
  touch: false,
  units: 'metric',
  singleKeys: true,
};
const PLACE = 'brackenfell.settings';

function read(): Settings {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Partial<Settings>) };
  } catch {
    return USUAL;
  }
}

const hasChosenUnits = (): boolean => (localStorage.getItem(PLACE) ?? '').includes('"units":');

let settings = read();
const listeners = new Set<() => void>();

/** Puts the settings on the page: theme and text size are attributes of the root element. */
export function applySettings(): void {
  const root = document.documentElement;
  const dark =
    settings.theme === 'night' || (settings.theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  root.dataset.theme = dark ? 'night' : 'chalk';
  root.dataset.rows = settings.dense ? 'dense' : 'usual';
  root.dataset.touch = settings.touch ? 'fingers' : 'mouse';
  root.dataset.text = String(settings.textSize);
  root.style.fontSize = `${(16 * settings.textSize) / 100}px`;
}

export function changeSettings(change: Partial<Settings>): void {
  settings = { ...settings, ...change };
  try {
    localStorage.setItem(PLACE, JSON.stringify(settings));
  } catch {
    // A full or forbidden store only means the choice lasts until the page is closed.
  }
  applySettings();
  for (const listener of listeners) listener();
}

/** The shop's own units, for whoever has not chosen on this machine; the choice is not written down. */
export function takeShopUnits(units: UnitDisplay): void {
  if (hasChosenUnits() || settings.units === units) return;
  settings = { ...settings, units };
  for (const listener of listeners) listener();
}

export const currentSettings = (): Settings => settings;

export function useSettings(): Settings {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, currentSettings);
}

const NEXT_UNITS: Record<UnitDisplay, UnitDisplay> = { metric: 'imperial', imperial: 'both', both: 'metric' };
export const nextUnits = (units: UnitDisplay): UnitDisplay => NEXT_UNITS[units];
