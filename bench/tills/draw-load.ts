/** Some seconds of a load. */
export interface Span {
  /** Seconds from the beginning. */
  readonly at: number;
  readonly phase: string;
  readonly p50Ms: number;
  readonly p95Ms: number;
  /** The server's own, then its worker's. */
  readonly memoryMb: readonly number[];
}

const WIDTH = 760;
const LEFT = 56;
const PANE = 150;
const GAP = 46;

/** How long calls took and what memory was held, over time: two panes of lines, as SVG. */
export function drawLoad(spans: readonly Span[]): string {
  const last = Math.max(1, ...spans.map(({ at }) => at));
  const x = (at: number) => LEFT + (at / last) * (WIDTH - LEFT - 8);
  const pane = (place: number, title: string, lines: { name: string; ink: string; of: (one: Span) => number }[]) => {
    const top = 30 + place * (PANE + GAP);
    const most = Math.max(1, ...spans.flatMap((one) => lines.map(({ of }) => of(one)))) * 1.1;
    const y = (value: number) => top + PANE - (value / most) * PANE;
    const ticks = [0, 0.5, 1].map((share) => Math.round((most / 1.1) * share));
    return [
      `<text x="${LEFT}" y="${top - 8}">${title}: ${lines.map(({ name, ink }) => `<tspan fill="${ink}">${name}</tspan>`).join(', ')}</text>`,
      ...ticks.map(
        (value) =>
          `<path d="M${LEFT} ${y(value)}H${WIDTH - 8}" stroke="#cdd2d2"/><text x="${LEFT - 6}" y="${y(value) + 4}" text-anchor="end">${value}</text>`,
      ),
      ...lines.map(
        ({ ink, of }) =>
          `<path fill="none" stroke="${ink}" stroke-width="1.5" d="M${spans.map((one) => `${x(one.at).toFixed(1)} ${y(of(one)).toFixed(1)}`).join('L')}"/>`,
      ),
    ].join('\n');
  };
  const turn = spans.find(({ phase }, i) => i > 0 && phase !== spans[i - 1]!.phase);
  const height = 30 + 2 * PANE + GAP + 30;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" font-family="sans-serif" font-size="12" fill="#211a15">
<rect width="${WIDTH}" height="${height}" fill="#f4f4f0"/>
${pane(0, 'A call, ms', [
  { name: 'median', ink: '#47692f', of: ({ p50Ms }) => p50Ms },
  { name: '95 in a hundred', ink: '#97450e', of: ({ p95Ms }) => p95Ms },
])}
${pane(1, 'Memory, MB', [
  { name: 'server', ink: '#713f8c', of: ({ memoryMb }) => memoryMb[0] ?? 0 },
  { name: 'worker', ink: '#4b5963', of: ({ memoryMb }) => memoryMb[1] ?? 0 },
])}
${turn ? `<path d="M${x(turn.at)} 30V${height - 30}" stroke="#211a15" stroke-dasharray="4 3"/><text x="${x(turn.at) + 4}" y="${height - 32}">from here ${turn.phase}</text>` : ''}
<text x="${LEFT}" y="${height - 8}">0 s</text><text x="${WIDTH - 8}" y="${height - 8}" text-anchor="end">${Math.round(last)} s</text>
</svg>
`;
}
