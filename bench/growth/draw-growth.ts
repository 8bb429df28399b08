import { exponentOf, type Series } from './series.ts';

const [PANE_WIDTH, PANE_HEIGHT, LEFT, TOP] = [230, 150, 44, 34];
const COLUMNS = 3;

/** One pane a thing, both axes logarithmic: a straight line is a power of the count, and its slope over the last step stands beside it. */
export function drawGrowth(all: readonly Series[]): string {
  const pane = (series: Series, place: number) => {
    const { what, of, points } = series;
    const [left, top] = [
      (place % COLUMNS) * (PANE_WIDTH + 24) + LEFT,
      Math.floor(place / COLUMNS) * (PANE_HEIGHT + 70) + TOP,
    ];
    const span = (values: readonly number[]) => [Math.log(Math.min(...values)), Math.log(Math.max(...values))] as const;
    const [fromX, toX] = span(points.map(({ count }) => count));
    const [fromY, toY] = span(points.map(({ ms }) => ms));
    const x = (count: number) => left + 10 + ((Math.log(count) - fromX) / (toX - fromX)) * (PANE_WIDTH - LEFT - 20);
    // At least a tenfold range, so that what hardly grows looks as if it hardly grew.
    const range = Math.max(toY - fromY, Math.log(10));
    const y = (ms: number) => top + PANE_HEIGHT - 10 - ((Math.log(ms) - fromY) / range) * (PANE_HEIGHT - 24);
    const say = (ms: number) => (ms >= 1000 ? `${(ms / 1000).toFixed(1)} s` : `${ms.toFixed(ms < 10 ? 1 : 0)} ms`);
    return [
      `<text x="${left - LEFT + 8}" y="${top - 12}" font-weight="600">${what}</text>`,
      `<text x="${left + PANE_WIDTH - LEFT}" y="${top - 12}" text-anchor="end">n^${exponentOf(series).toFixed(2)}</text>`,
      `<path d="M${left} ${top}V${top + PANE_HEIGHT}H${left + PANE_WIDTH - LEFT}" fill="none" stroke="#cdd2d2"/>`,
      `<path fill="none" stroke="#47692f" stroke-width="1.5" d="M${points.map(({ count, ms }) => `${x(count).toFixed(1)} ${y(ms).toFixed(1)}`).join('L')}"/>`,
      ...points.map(
        ({ count, ms }) =>
          `<circle cx="${x(count).toFixed(1)}" cy="${y(ms).toFixed(1)}" r="3" fill="#47692f"/><text x="${x(count).toFixed(1)}" y="${(y(ms) - 7).toFixed(1)}" text-anchor="middle" font-size="10">${say(ms)}</text><text x="${x(count).toFixed(1)}" y="${top + PANE_HEIGHT + 14}" text-anchor="middle" font-size="10">${count.toLocaleString('en-GB')}</text>`,
      ),
      `<text x="${left + (PANE_WIDTH - LEFT) / 2}" y="${top + PANE_HEIGHT + 28}" text-anchor="middle" font-size="10">${of}</text>`,
    ].join('\n');
  };
  const width = COLUMNS * (PANE_WIDTH + 24) + 8;
  const height = Math.ceil(all.length / COLUMNS) * (PANE_HEIGHT + 70) + 8;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="12" fill="#211a15">
<rect width="${width}" height="${height}" fill="#f4f4f0"/>
${all.map(pane).join('\n')}
</svg>
`;
}
