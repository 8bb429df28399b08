import type { Drawing, FactUsed, Tray, TrayFinding, TrayRow } from './tray.ts';

/** A finding with its check's title, and the places of its sources in the tray's table. */
export type OpenFinding = TrayFinding & { readonly title: string; readonly sources: readonly number[] };
export type OpenRow = Omit<TrayRow, 'findings' | 'sources'> & {
  readonly findings: readonly OpenFinding[];
  readonly drawing: Drawing;
};
export type OpenTray = Omit<Tray, 'rows' | 'findings' | 'drawings' | 'sources' | 'origins'> & {
  readonly rows: readonly OpenRow[];
  readonly sources: readonly FactUsed[];
};

/** Puts into every row what its checks found: on the wire what rows share is sent once. */
export function openTray({ findings, drawings, origins, ...tray }: Tray): OpenTray {
  const rows = tray.rows.map(({ sources, ...row }) => ({
    ...row,
    drawing: drawings[row.place]!,
    findings: row.findings.map((place, i) => ({
      ...findings[place]!,
      title: tray.columns[i]!.title,
      sources: sources[i]!,
    })),
  }));
  const facts = tray.sources.map(({ from, ...fact }): FactUsed => ({ ...fact, source: origins[from]! }));
  return { ...tray, rows, sources: facts };
}
