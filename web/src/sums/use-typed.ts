import { useState } from 'react';
import { useAddress } from '../controls/use-address.ts';

/**
 * What is typed into the fields of a sum: each field's own while it is typed, and written into the address, so that a sum can
 * be shared and survives a reload.
 */
export function useTyped() {
  const { search, write } = useAddress();
  const [typed, setTyped] = useState(() => new URLSearchParams(search));
  const set = (name: string, value: string) => {
    const next = new URLSearchParams(typed);
    if (value === '') next.delete(name);
    else next.set(name, value);
    setTyped(next);
    write({ [name]: value });
  };
  return { typed, text: (name: string) => typed.get(name) ?? '', set };
}
