import type { EngineCard } from '@brackenfell/contract/engine';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { OldPartsEngine } from '@brackenfell/core/old-parts/kept-answers';

export type OldPlugs = Extract<SlipKept, { kind: 'old-plugs' }>;
export type OldOthers = Extract<SlipKept, { kind: 'old-others' }>;
export type CompressionLog = Extract<SlipKept, { kind: 'compression' }>;
export type ComebackKept = Extract<SlipKept, { kind: 'comeback' }>;

export const noPlugs = (engineId: string): OldPlugs => ({
  kind: 'old-plugs',
  engineId,
  cylinders: [],
  context: [],
  results: {},
});
export const noLog = (engineId: string): CompressionLog => ({
  kind: 'compression',
  engineId,
  reads: [],
  conditions: [],
  specifiedKpa: null,
  hasDecompressor: false,
  isLeakDownMade: false,
  state: '',
});

/** The engine as reading its old parts goes by it. */
export const oldPartsEngine = (engine: EngineCard): OldPartsEngine => ({
  ...engine,
  hasLeadSet: engine.needs.some(({ kind }) => kind === 'lead-set'),
});
