import { z } from 'zod';

const share = z.number().min(0).max(1);

/**
 * How a tell is drawn, genuine or suspect: a form of Brackenfell's own with its parameters. Shares run from 0 to 1.
 * `meter` shows a reading's band on a scale and where a fake's readings tend to lie.
 */
export const TellDrawing = z
  .discriminatedUnion('form', [
    z.object({ form: z.literal('print'), weight: share, broken: z.boolean(), offset: z.number().min(-1).max(1) }),
    z.object({ form: z.literal('crown'), dome: share }),
    z.object({ form: z.literal('chamfer'), arc: share }),
    z.object({ form: z.literal('shoulder'), lines: z.number().int().min(0).max(12) }),
    z.object({ form: z.literal('ribs'), roundness: share }),
    z.object({ form: z.literal('weld'), bead: share }),
    z.object({ form: z.literal('gasket'), held: z.boolean() }),
    z.object({ form: z.literal('plating'), sheen: share }),
    z.object({ form: z.literal('code'), text: z.string().max(14), engraved: z.boolean() }),
    z.object({ form: z.literal('box'), crispness: share }),
    z.object({ form: z.literal('seal'), whole: z.boolean() }),
    z.object({ form: z.literal('boot'), seam: share }),
    z.object({ form: z.literal('potting'), level: share }),
    z.object({ form: z.literal('connector'), lock: z.boolean() }),
    z.object({ form: z.literal('meter'), low: share, high: share, at: z.array(share).max(6) }),
  ])
  .meta({ id: 'TellDrawing' });
export type TellDrawing = z.infer<typeof TellDrawing>;
