import { TextDecoder, TextEncoder } from 'node:util';

// What every browser has and the one that tests are given does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
if (typeof window !== 'undefined') {
  const matchMedia = (media: string) => Object.assign(new EventTarget(), { matches: false, media });
  Object.assign(window, { matchMedia });
  Object.assign(Element.prototype, { scrollIntoView: () => undefined });
  // A machine can stand still for seconds, and no test is about speed: what is waited for is waited for as long as in journeys.
  void import('@testing-library/react').then(({ configure }) => configure({ asyncUtilTimeout: 45_000 }));
}
