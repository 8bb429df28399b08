import { Tabs } from 'radix-ui';
import { KIND_WORDS, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';

interface KindTabsProps {
  readonly kinds: readonly { readonly kind: PartKind; readonly quantity: number }[];
  readonly kind: PartKind;
  readonly onKind: (kind: PartKind) => void;
  /** What stands at the strip's other end. */
  readonly beside: React.ReactNode;
  readonly children: React.ReactNode;
}

/** What the engine needs of an ignition, kind by kind, over the tray of the one that is open. */
export function KindTabs({ kinds, kind, onKind, beside, children }: KindTabsProps) {
  return (
    <Tabs.Root
      value={kind}
      onValueChange={(next) => onKind(next as PartKind)}
      activationMode="manual"
      className="flex min-h-0 flex-1 flex-col"
    >
      <div className="kind-strip">
        <Tabs.List aria-label="Kind of part" className="flex gap-3">
          {kinds.map((one) => (
            <Tabs.Trigger key={one.kind} value={one.kind} className="kind-tab">
              {KIND_WORDS[one.kind][0]} <span className="num text-soft">{one.quantity}</span>
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {kinds.length > 1 && (
          <span className="text-soft">
            <Key>i</Key> next kind
          </span>
        )}
        <span className="ml-auto">{beside}</span>
      </div>
      <Tabs.Content value={kind} tabIndex={-1} className="flex min-h-0 flex-1 flex-col">
        {children}
      </Tabs.Content>
    </Tabs.Root>
  );
}
