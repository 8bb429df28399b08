const withTime = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
const withYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A moment as the counter writes it: 25 Nov, 13:41; of another year the day with its year. */
export function printMoment(iso: string): string {
  const moment = new Date(iso);
  return (moment.getFullYear() === new Date().getFullYear() ? withTime : withYear).format(moment);
}
