import type { LeadRoute } from '../facts/lead-facts.ts';

/** Where a lead goes, in words. */
export const sayRoute = ({ to }: Pick<LeadRoute, 'to'>): string => (to === 'coil' ? 'coil to cap' : `cylinder ${to}`);

export const BOOT_WORDS = { straight: 'straight', '135': '135°', '90': '90°' } as const;
