import { useCallback, useState } from 'react';

const NAME = 'brackenfell draft ';

const read = (name: string): string => window.localStorage.getItem(NAME + name) ?? '';

/**
 * A text that is kept while it is half typed: Escape, a stage key or a reload lose nothing. `clear` when it was sent or is
 * thrown away.
 */
export function useDraft(name: string) {
  const [text, setText] = useState(() => read(name));
  const set = useCallback(
    (next: string) => {
      setText(next);
      if (next === '') window.localStorage.removeItem(NAME + name);
      else window.localStorage.setItem(NAME + name, next);
    },
    [name],
  );
  const clear = useCallback(() => set(''), [set]);
  return { text, set, clear };
}

/** The same for what has parts: a form, an answer a cylinder. */
export function useDraftOf<T>(name: string, empty: T) {
  const { text, set, clear } = useDraft(name);
  let value = empty;
  try {
    if (text !== '') value = JSON.parse(text) as T;
  } catch {
    // Written by another release: the form begins empty.
  }
  return { value, set: (next: T) => set(JSON.stringify(next)), clear };
}
