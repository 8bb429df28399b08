const nameOf = (slipId: string | null) => `brackenfell.said.${slipId ?? 'none'}`;

/** What was said about the engine, for a slip, or for the desk without one (`null`); kept while this window is open. */
export function readSaid(slipId: string | null): readonly string[] {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(nameOf(slipId)) ?? '[]');
    return Array.isArray(kept) ? (kept as string[]) : [];
  } catch {
    return [];
  }
}

export function keepSaid(slipId: string | null, said: readonly string[]): void {
  sessionStorage.setItem(nameOf(slipId), JSON.stringify(said));
}

export function forgetSaid(slipId: string | null): void {
  sessionStorage.removeItem(nameOf(slipId));
}
