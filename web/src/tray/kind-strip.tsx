import { CONNECTOR_WORDS } from '@brackenfell/core/coils/connector-words';
import { KIND_WORDS, type PartKind } from '@brackenfell/core/facts/part-kinds';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import type { BuildChoice } from '@brackenfell/contract/tray';
import { ConnectorFaceDrawing } from '../coils/connector-face.tsx';
import { Key } from '../controls/key.tsx';

export const BUILD_LETTERS = ['a', 'b', 'c', 'd'] as const;

interface KindStripProps {
  readonly kinds: readonly { readonly kind: PartKind; readonly quantity: number }[];
  readonly kind: PartKind;
  readonly onKind: (kind: PartKind) => void;
  readonly children?: React.ReactNode;
}

/** What the engine needs of an ignition, kind by kind; the one whose tray is open is marked. */
export function KindStrip({ kinds, kind, onKind, children }: KindStripProps) {
  return (
    <div className="kind-strip">
      <div role="tablist" aria-label="Kind of part" className="flex gap-3">
        {kinds.map((one) => (
          <button
            key={one.kind}
            type="button"
            role="tab"
            aria-selected={one.kind === kind}
            className="kind-tab"
            onClick={() => onKind(one.kind)}
          >
            {KIND_WORDS[one.kind][0]} <span className="num text-soft">{one.quantity}</span>
          </button>
        ))}
      </div>
      {kinds.length > 1 && (
        <span className="text-soft">
          <Key>i</Key> next kind
        </span>
      )}
      <span className="ml-auto">{children}</span>
    </div>
  );
}

interface BuildQuestionProps {
  readonly split: NonNullable<OpenTray['split']>;
  readonly onBuild: (build: string | null) => void;
}

/** Which build it is, asked by what can be seen: the connector's face, its pins, the boot. */
export function BuildQuestion({ split, onBuild }: BuildQuestionProps) {
  return (
    <div className="build-question" role="group" aria-label="Which build is it?">
      <span className={split.chosen === null ? 'font-semibold' : 'text-soft'}>
        {split.chosen === null ? 'Which build is it?' : 'Build'}
      </span>
      {split.choices.map((choice, i) => (
        <button
          key={choice.label}
          type="button"
          aria-pressed={split.chosen === choice.label}
          className="build-choice"
          onClick={() => onBuild(choice.label)}
        >
          <Key>{BUILD_LETTERS[i] ?? ''}</Key>
          <ConnectorFaceDrawing connector={choice.connector} pins={choice.pins} widthRem={2.25} />
          <span>
            <b className="font-semibold">{choice.label}</b>
            <span className="text-soft"> {seen(choice)}</span>
          </span>
        </button>
      ))}
      {split.chosen !== null && (
        <button type="button" className="underline" onClick={() => onBuild(null)}>
          <Key>0</Key> not known
        </button>
      )}
    </div>
  );
}

const seen = ({ connector, pins, bootAngleDeg, revision }: BuildChoice): string =>
  [
    pins === null ? '' : `${pins} pins`,
    connector === null ? '' : CONNECTOR_WORDS[connector],
    bootAngleDeg === null ? '' : bootAngleDeg === 0 ? 'straight boot' : `boot stepped ${bootAngleDeg}°`,
    revision === null ? '' : `revision ${revision}`,
  ]
    .filter(Boolean)
    .join(', ');
