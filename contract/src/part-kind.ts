import { z } from 'zod';
import { PART_KINDS, SHELF_KINDS } from '@brackenfell/core/facts/part-kinds';

export const PartKind = z.enum(PART_KINDS).meta({ id: 'PartKind', description: 'What is sold for an ignition.' });

/** What a number of the catalogue stands for: a part, a number to order by, or one that some list speaks of and nobody holds. */
export const StoredKind = z.enum([...PART_KINDS, ...SHELF_KINDS, 'oe-number', 'unheld']).meta({ id: 'StoredKind' });
