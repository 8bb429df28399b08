import type { EngineCard } from '@brackenfell/contract/engine';
import type { SlipKept } from '@brackenfell/contract/slip';
import type { OldPartsEngine } from '@brackenfell/core/old-parts/kept-answers';

export type OldPlugs = Extract<SlipKept, { kind: 'old-plugs' }>;
export type CompressionLog = Extract<SlipKept, { kind: 'compression' }>;
export type ComebackKept = Extract<SlipKept, { kind: 'comeback' }>;

export const NO_PLUGS: OldPlugs = { kind: 'old-plugs', cylinders: [], context: [], results: {} };
export const NO_LOG: CompressionLog = {
  kind: 'compression',
  reads: [],
  conditions: [],
  specifiedKpa: null,
  hasDecompressor: false,
  state: '',
};

/** The engine as reading its old parts goes by it. */
export const oldPartsEngine = (engine: EngineCard): OldPartsEngine => ({
  ...engine,
  hasLeadSet: engine.needs.some(({ kind }) => kind === 'lead-set'),
});
