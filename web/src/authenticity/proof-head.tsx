import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { Link } from 'react-router';
import type { JudgedInspection } from '@brackenfell/core/authenticity/inspection';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import type { Inspection } from '@brackenfell/contract/inspection';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { BAND_INK, BAND_MARK } from '../controls/band-mark.ts';

interface ProofHeadProps {
  readonly inspection: Inspection;
  readonly judged: JudgedInspection;
  /** 0 for all pieces alike. */
  readonly selected: number;
  readonly waiting: number;
  /** Asked for, and waiting for what was noted to be stored. */
  readonly concluding: boolean;
  /** Whether this person answers and concludes, or only looks. */
  readonly mayNote: boolean;
  readonly onSelect: (piece: number) => void;
  readonly onConclude: () => void;
  readonly onHold: () => void;
  readonly onPack: () => void;
}

const WHAT_NOW = {
  'not-inspected': 'Nothing was looked at yet.',
  consistent: 'What was seen is as genuine.',
  'not-proven': 'Neither is proven: look further, or say so.',
  suspect: 'Do not fit or sell.',
} as const;

/** The verdict so far, the pieces it is made of, and what can be done about it. */
export function ProofHead({
  inspection,
  judged,
  selected,
  waiting,
  concluding,
  mayNote,
  onSelect,
  onConclude,
  onHold,
  onPack,
}: ProofHeadProps) {
  const { conclusion, batch, pieces } = inspection;
  const { worst, band, blocks } = judged;
  const tells = inspection.reference?.content.tells.length ?? 0;
  const answered = Object.keys(worst.answers).length;
  const holds = band === 'suspect' || blocks.length > 0;
  const settled = isHeld(batch?.state);
  const shownBand = blocks.length > 0 && band === 'consistent' ? 'not-proven' : band;
  return (
    <header className="flex-none border-b border-line px-3 py-1.5">
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        <Mark kind={blocks.length > 0 ? 'refuse' : BAND_MARK[band]} rem={1.375} />
        <div className="min-w-64 flex-1" aria-live="polite">
          <p className="flex flex-wrap items-baseline gap-x-2">
            <b className={`text-verdict font-semibold ${blocks.length > 0 ? 'text-madder' : BAND_INK[shownBand]}`}>
              {blocks.length > 0 && band !== 'suspect' ? 'Blocked' : BAND_WORDS[band]}
            </b>
            {band !== 'not-inspected' && (
              <b className={`num text-verdict font-semibold ${BAND_INK[shownBand]}`}>
                {printChance(worst.judgement.chance)}
              </b>
            )}
            <span>
              {WHAT_NOW[band]}{' '}
              <span className="text-soft">
                {answered} of {tells} tells answered{pieces > 1 ? ` on ${worst.label}, the likeliest fake` : ''}
              </span>
            </span>
          </p>
          {blocks.map((block) => (
            <p key={block} className="text-madder">
              {block}. This blocks the sale at any percentage.
            </p>
          ))}
          {judged.set
            .filter(({ blocks: blocking }) => !blocking)
            .map(({ what, says }) => (
              <p key={what} className="text-gorse">
                {says}
              </p>
            ))}
          {inspection.decoded?.against.map((says) => (
            <p key={says} className="text-gorse">
              {says}
            </p>
          ))}
        </div>
        <div className="ml-auto flex flex-none items-center gap-2">
          <button type="button" className="button-plain" onClick={onPack}>
            Evidence pack <Key>p</Key>
          </button>
          {mayNote && !settled && !holds && (
            <button type="button" className="button-plain" onClick={onHold}>
              Hold batch <Key>h</Key>
            </button>
          )}
          {mayNote && (
            <button type="button" className="button-act" onClick={onConclude}>
              {holds && !settled ? 'Conclude and hold' : 'Conclude'} <Key>Ctrl Enter</Key>
            </button>
          )}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-x-2 pt-1">
        {pieces > 1 && (
          <div role="group" aria-label="Pieces" className="flex items-center gap-1">
            {[0, ...judged.pieces.map(({ piece }) => piece)].map((piece) => {
              const one = judged.pieces[piece - 1];
              return (
                <button
                  key={piece}
                  type="button"
                  aria-pressed={piece === selected}
                  className={`flex min-h-6 items-center gap-1 border px-1.5 text-xs ${piece === selected ? 'border-bracken bg-bracken-wash font-semibold' : 'border-hair'}`}
                  onClick={() => onSelect(piece)}
                >
                  {one ? (
                    <>
                      <Mark kind={one.blocks.length > 0 ? 'refuse' : BAND_MARK[one.judgement.band]} rem={0.625} />
                      {one.label}{' '}
                      <span className="num">
                        {one.judgement.band === 'not-inspected' ? '' : printChance(one.judgement.chance)}
                      </span>
                    </>
                  ) : (
                    `all ${pieces} alike`
                  )}
                </button>
              );
            })}
            <span className="text-xs text-soft">
              <KeyButton press="[" does="Piece before" /> <KeyButton press="]" does="Next piece" />
            </span>
          </div>
        )}
        {band === 'consistent' && judged.batchBand !== 'consistent' && (
          <span className="text-xs text-soft">Too few to speak for the whole batch of {inspection.batchSize}.</span>
        )}
        <span role="status" className="ml-auto text-xs">
          {waiting > 0 ? (
            <b className="font-semibold text-madder">
              {waiting} kept here until the server answers{concluding ? ', then concluded' : ''}
            </b>
          ) : conclusion ? (
            <span className="text-soft">
              Concluded {printMoment(conclusion.at)} by {conclusion.by}: {BAND_WORDS[conclusion.band].toLowerCase()}
              {conclusion.stale ? '; more was noted since, conclude again' : ''}
            </span>
          ) : null}
        </span>
        {batch && (
          <Link to={`/quarantine/batches/${batch.batchId}`} className="text-xs underline">
            {settled ? 'Batch in quarantine' : `Batch ${batch.code}`}
          </Link>
        )}
      </div>
    </header>
  );
}
