import { useSyncExternalStore } from 'react';

export const ASK_AGAIN_MS = 1500;

let away = false;
let timer: ReturnType<typeof setInterval> | undefined;
const listeners = new Set<() => void>();
const returns = new Set<() => void>();

function set(next: boolean): void {
  if (away === next) return;
  away = next;
  for (const listener of listeners) listener();
}

/** The server did not answer: say so, and ask for it until it does. */
export function reportAway(): void {
  set(true);
  timer ??= setInterval(() => {
    fetch('/api/health')
      .then((response) => {
        if (response.ok) reportBack();
      })
      .catch(() => undefined);
  }, ASK_AGAIN_MS);
}

/** A line to the server was lost: whether it is away is not known until it is asked. */
export function lookForServer(): void {
  fetch('/api/health').then(
    (response) => (response.ok ? reportBack() : reportAway()),
    () => reportAway(),
  );
}

export function reportBack(): void {
  if (timer !== undefined) clearInterval(timer);
  timer = undefined;
  if (!away) return;
  set(false);
  for (const heard of returns) heard();
}

/** Calls back whenever the server answers again after an absence. */
export function onServerReturn(heard: () => void): () => void {
  returns.add(heard);
  return () => returns.delete(heard);
}

export const isServerAway = (): boolean => away;

export function useServerAway(): boolean {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isServerAway);
}
