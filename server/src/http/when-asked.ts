/** What is worked out when it is first asked for, and kept: no server's start waits for it. */
export function whenAsked<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}
