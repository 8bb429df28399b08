import { useSyncExternalStore } from 'react';

/** One value shared by components that are not each other's parents. */
export function shareValue<T>(first: T) {
  let value = first;
  const listeners = new Set<() => void>();
  return {
    set: (next: T) => {
      value = next;
      for (const listener of listeners) listener();
    },
    use: (): T =>
      useSyncExternalStore(
        (listener) => {
          listeners.add(listener);
          return () => listeners.delete(listener);
        },
        () => value,
      ),
  };
}
