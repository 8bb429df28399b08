/** Letters and figures as plates and serial numbers have them, and no sentence. */
export const mayBePlate = (text: string): boolean =>
  /^(?=.*[a-z])(?=.*\d)[a-z0-9]{1,4}[- ]?[a-z0-9]{1,5}$/i.test(text.trim()) && text.trim().length >= 5;

/** A vehicle as a slip names it, parts apart by commas: its plate, and what it is called. Either may be missing. */
export function splitVehicle(text: string): { readonly plate: string; readonly called: string } {
  const parts = text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
  // A bus 7 is no plate: written as one it has a dash, or no small letters.
  const plate = parts.find((part) => mayBePlate(part) && (part.includes('-') || part === part.toUpperCase())) ?? '';
  return { plate: plate.toUpperCase(), called: parts.filter((part) => part !== plate).join(', ') };
}
