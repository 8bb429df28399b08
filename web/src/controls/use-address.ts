import { useCallback, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';

/** What is to stand under a name: nothing where it is empty. */
type Change = Readonly<Record<string, string | readonly string[]>>;

/**
 * What the address asks of a screen, and how more is written into it. The screen draws an address some time after it is
 * there: what is written stands beside all that is there by then, not only what is drawn.
 */
export function useAddress() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const write = useCallback(
    (change: Change) => {
      const next = new URLSearchParams(window.location.search);
      for (const [name, value] of Object.entries(change)) {
        next.delete(name);
        for (const one of [value].flat()) if (one !== '') next.append(name, one);
      }
      void navigate({ pathname: window.location.pathname, search: next.toString() }, { replace: true });
    },
    [navigate],
  );
  return { search, write };
}

/** A text that the address keeps. It is the field's own while it is typed: an address that follows would take letters back. */
export function useAddressText(name: string) {
  const { search, write } = useAddress();
  const [text, setText] = useState(search.get(name) ?? '');
  const set = (next: string) => {
    setText(next);
    write({ [name]: next });
  };
  return [text, set] as const;
}
