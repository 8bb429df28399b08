/** The day at the counter, YYYY-MM-DD. The shop and its server stand in one zone. */
export const today = (): string => {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
};
