interface ShareBarProps {
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
  /** Share at the right end. */
  readonly full?: number;
}

/** A share with the range it lies in nine times in ten: a wide bar says how little is known. */
export function ShareBar({ share, low, high, full = 0.5 }: ShareBarProps) {
  const at = (value: number) => `${Math.min(100, (value / full) * 100)}%`;
  const percent = (value: number) => `${Math.round(value * 100)}%`;
  const says =
    share === null
      ? 'Share of settled batches not genuine: nothing settled yet.'
      : `Share of settled batches not genuine: ${percent(share)}, nine times in ten between ${percent(low)} and ${percent(high)}.`;
  return (
    <div role="img" aria-label={says} className="relative my-1 h-3 border-b border-line">
      {[0.25, 0.5, 0.75, 1].map((tick) => (
        <span key={tick} className="absolute bottom-0 h-1 border-r border-line" style={{ left: `${tick * 100}%` }} />
      ))}
      <span
        className={`absolute bottom-1 h-1 ${share === null ? 'border border-dashed border-ash' : 'bg-slate/60'}`}
        style={{ left: at(low), right: `calc(100% - ${at(high)})` }}
      />
      {share !== null && (
        <span
          className={`absolute bottom-0 h-3 w-1 -translate-x-1/2 ${share > 0 ? 'bg-madder' : 'bg-peat'}`}
          style={{ left: at(share) }}
        />
      )}
    </div>
  );
}
