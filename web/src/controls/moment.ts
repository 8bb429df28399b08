const when = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** A moment as the counter writes it: 25 Nov, 13:41. */
export const printMoment = (iso: string): string => when.format(new Date(iso));
