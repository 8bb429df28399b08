import type { EngineCard } from '@brackenfell/contract/engine';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { useCounter } from '../counter/use-counter.ts';
import { useKeys } from '../keys/keys.ts';
import { KindTabs } from './kind-tabs.tsx';

interface KindsProps {
  readonly engine: EngineCard;
  readonly kind: PartKind;
  readonly beside?: React.ReactNode;
  /** The tray of the kind. */
  readonly children: React.ReactNode;
}

/** What the engine needs, kind by kind; there to choose from while a tray is still being judged. */
export function Kinds({ engine, kind, beside, children }: KindsProps) {
  const { go } = useCounter();
  const kinds = [{ kind: 'plug' as const, quantity: engine.positions.length }, ...engine.needs];
  const show = (next: PartKind) => go('/counter/parts', { part: next === 'plug' ? null : next });
  const turn = (by: number) => {
    const at = kinds.findIndex((one) => one.kind === kind);
    show(kinds[(at + by + kinds.length) % kinds.length]!.kind);
  };
  useKeys('Kind of part', [
    { press: 'i', does: 'Next kind of part: plugs, coils, leads …', run: () => turn(1) },
    { press: 'Shift+I', printed: 'Shift i', does: 'Kind of part before', run: () => turn(-1) },
  ]);
  return (
    <KindTabs kinds={kinds} kind={kind} onKind={show} beside={beside}>
      {children}
    </KindTabs>
  );
}
