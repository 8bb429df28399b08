/** The ways a part reaches the shop. */
export const CHANNELS = ['depot', 'wholesale', 'clearance', 'marketplace', 'returned'] as const;
export type Channel = (typeof CHANNELS)[number];

export const CHANNEL_WORDS: Readonly<Record<Channel, string>> = {
  depot: 'maker’s depot',
  wholesale: 'wholesale',
  clearance: 'clearance',
  marketplace: 'marketplace',
  returned: 'back over the counter',
};

/**
 * Share of batches of a channel that are not genuine, and how many batches of a seller's own record it outweighs. Domain
 * section 10; `returned` is ours: a piece that was out of sight is met as clearance stock is.
 */
export const CHANNEL_PRIORS: Readonly<Record<Channel, { readonly share: number; readonly weightBatches: number }>> = {
  depot: { share: 0.002, weightBatches: 500 },
  wholesale: { share: 0.01, weightBatches: 100 },
  clearance: { share: 0.05, weightBatches: 40 },
  marketplace: { share: 0.12, weightBatches: 20 },
  returned: { share: 0.05, weightBatches: 40 },
};

/** A seller's batches that a supervisor has settled; suspicions nobody settled do not count. */
export interface SettledRecord {
  readonly settled: number;
  readonly notGenuine: number;
}

/** Chance that a batch is not genuine before anything is looked at: the channel's share, moved by the seller's record. */
export function priorOf(channel: Channel, { settled, notGenuine }: SettledRecord): number {
  const { share, weightBatches } = CHANNEL_PRIORS[channel];
  return (share * weightBatches + notGenuine) / (weightBatches + settled);
}

export interface Share {
  /** 0 to 1; null without a settled batch. */
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
}

/** Two-sided 90%. */
const Z_90 = 1.6449;

/**
 * Share of a seller's settled batches found not genuine, with the range in which it lies nine times in ten (score interval
 * of a share, Wilson 1927). A few batches give a wide range, not a verdict on a seller.
 */
export function shareOf({ settled, notGenuine }: SettledRecord): Share {
  if (settled === 0) return { share: null, low: 0, high: 1 };
  const p = notGenuine / settled;
  const zz = Z_90 ** 2;
  const centre = (p + zz / (2 * settled)) / (1 + zz / settled);
  const half = (Z_90 / (1 + zz / settled)) * Math.sqrt((p * (1 - p)) / settled + zz / (4 * settled ** 2));
  return { share: p, low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}
