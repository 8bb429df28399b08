import type { Tray, TrayFinding, TrayRow } from './tray.ts';

/** A finding with the places of its sources in the tray's table. */
export type OpenFinding = TrayFinding & { readonly sources: readonly number[] };
export type OpenRow = Omit<TrayRow, 'findings' | 'sources'> & { readonly findings: readonly OpenFinding[] };
export type OpenTray = Omit<Tray, 'rows' | 'findings'> & { readonly rows: readonly OpenRow[] };

/** Puts into every row what its checks found: on the wire what rows share is sent once. */
export function openTray({ findings, ...tray }: Tray): OpenTray {
  const rows = tray.rows.map(({ sources, ...row }) => ({
    ...row,
    findings: row.findings.map((place, i) => ({ ...findings[place]!, sources: sources[i]! })),
  }));
  return { ...tray, rows };
}
