import { ToggleGroup } from 'radix-ui';
import { CONNECTOR_WORDS } from '@brackenfell/core/coils/connector-words';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import type { BuildChoice } from '@brackenfell/contract/tray';
import { ConnectorFaceDrawing } from '../coils/connector-face.tsx';
import { Key } from '../controls/key.tsx';

export const BUILD_LETTERS = ['a', 'b', 'c', 'd'] as const;

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
      <ToggleGroup.Root
        type="single"
        className="flex flex-wrap items-center gap-x-3"
        value={split.chosen ?? ''}
        onValueChange={(label) => onBuild(label === '' ? null : label)}
      >
        {split.choices.map((choice, i) => (
          <ToggleGroup.Item key={choice.label} value={choice.label} className="build-choice">
            <Key>{BUILD_LETTERS[i] ?? ''}</Key>
            <ConnectorFaceDrawing connector={choice.connector} pins={choice.pins} widthRem={2.25} />
            <span>
              <b className="font-semibold">{choice.label}</b>
              <span className="text-soft"> {seen(choice)}</span>
            </span>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
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
