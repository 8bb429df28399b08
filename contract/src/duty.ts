import { z } from 'zod';
import { readDuty } from '@brackenfell/core/duty/duty-text';

/** What the engine is used for, as an address has it: `load,boost:60,class:Tarn 2`. Empty for standard duty. */
export const DutyText = z
  .string()
  .max(200)
  .refine((text) => readDuty(text) !== undefined, 'must be a duty such as load,boost:60')
  .meta({ id: 'DutyText' });
