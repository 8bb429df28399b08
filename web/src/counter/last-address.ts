const NAME = 'brackenfell.counter';
const FRESH = '/counter/engine';

/** Where the counter stood: going back to it from another room finds the slip in hand again. */
export const lastCounter = (): string => sessionStorage.getItem(NAME) ?? FRESH;

export function keepCounter(address: string): void {
  sessionStorage.setItem(NAME, address);
}

export function forgetCounter(): void {
  sessionStorage.removeItem(NAME);
}
