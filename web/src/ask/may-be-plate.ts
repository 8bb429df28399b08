/** Letters and figures as plates and serial numbers have them, and no sentence. */
export const mayBePlate = (text: string): boolean =>
  /^(?=.*[a-z])(?=.*\d)[a-z0-9]{1,4}[- ]?[a-z0-9]{1,5}$/i.test(text.trim()) && text.trim().length >= 5;
