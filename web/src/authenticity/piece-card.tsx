import type { JudgedInspection, JudgedPiece } from '@brackenfell/core/authenticity/inspection';
import { NUMBER_PLACE_WORDS } from '@brackenfell/core/authenticity/inspection';
import { MEASURED, type Agreement } from '@brackenfell/core/authenticity/measured';
import { CHANNEL_WORDS, shareOf } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import { MEASURED_IDS, type MeasuredId } from '@brackenfell/core/authenticity/tell';
import type { Inspection } from '@brackenfell/contract/inspection';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { printPrice } from '@brackenfell/core/words/money';
import { ShareBar } from '../controls/share-bar.tsx';
import { WhereToLook } from './where-to-look.tsx';

const NUMBER_MARK: Readonly<Record<JudgedInspection['numbers'][number]['outcome'], MarkKind>> = {
  agrees: 'match',
  worn: 'acceptable',
  contradicts: 'refuse',
  'not-known': 'unknown',
};
const READING_MARK: Readonly<Record<Agreement, MarkKind>> = {
  agrees: 'match',
  near: 'acceptable',
  contradicts: 'refuse',
  'not-known': 'not-asked',
};
const USED = {
  drawings: 'the drawings alone',
  'shop-stock': 'a known one from the shelf',
  'removed-original': 'the removed original',
} as const;

interface PieceCardProps {
  readonly inspection: Inspection;
  readonly judged: JudgedInspection;
  readonly piece: JudgedPiece;
  readonly here: string | undefined;
  /** Holds the pieces against another packaging; left out for who may only look. */
  readonly onPackaging: ((referenceId: string) => void) | undefined;
}

/** What is in hand: its numbers against the part, its batch, its seller's record, and where to look. */
export function PieceCard({ inspection, judged, piece, here, onPackaging }: PieceCardProps) {
  const { part, seller, channel, record, batch, batchCode, batchCodeSays, paper, price, reference, decoded } =
    inspection;
  const numbers = judged.numbers.filter((row) => row.piece === 0 || row.piece === piece.piece);
  const share = shareOf(record);
  return (
    <div className="grid content-start gap-2 p-3" tabIndex={0} role="group" aria-label="The piece in hand">
      <header>
        <h1 className="num text-verdict font-semibold">{part.printed}</h1>
        <p className="text-soft">
          {part.maker}, {inspection.pieces === 1 ? 'one' : inspection.pieces} in hand
          {inspection.slip ? `, slip ${inspection.slip.docket}` : ''}
        </p>
      </header>
      <section aria-label="Number against part" className="border-t border-line pt-1">
        <h2 className="flex font-semibold">
          Number against part
          <span className="ml-auto text-xs font-normal text-soft">
            <KeyButton press="i" does="Note a number" /> <KeyButton press="m" does="Type a reading" />
          </span>
        </h2>
        <dl className="grid grid-cols-[4.5rem_1fr_auto] gap-x-1 text-xs">
          {numbers.map((row) => (
            <Row
              key={`${row.place} ${row.piece}`}
              label={NUMBER_PLACE_WORDS[row.place]}
              value={row.printed}
              mark={NUMBER_MARK[row.outcome]}
              says={row.outcome === 'agrees' ? undefined : row.says}
            />
          ))}
          {numbers.length === 0 && <Row label="Box" value="not read" mark="unknown" />}
          {decoded && (
            <Row
              label="Decoded"
              value={decoded.says}
              plain
              mark={decoded.against.length > 0 ? 'refuse' : 'match'}
              says={decoded.against[0]}
            />
          )}
          {measurable(part.kind).map((id) => {
            const reading = piece.readings.find((row) => row.id === id);
            const { label, unit, decimals } = MEASURED[id];
            return (
              <Row
                key={id}
                label={label}
                value={reading ? `${reading.value.toFixed(decimals)} ${unit}` : 'not measured'}
                mark={reading ? READING_MARK[reading.agreement] : 'unknown'}
                says={
                  reading?.agreement !== 'contradicts'
                    ? undefined
                    : reading.expected === null
                      ? 'The number itself says otherwise.'
                      : `The catalogue says ${reading.expected.toFixed(decimals)}.`
                }
              />
            );
          })}
        </dl>
      </section>
      <section aria-label="Batch" className="border-t border-line pt-1">
        <h2 className="flex items-baseline gap-2 font-semibold">
          Batch <span className="num">{batchCode === '' ? 'not read' : batchCode}</span>
          {batch && batch.state !== 'open' && (
            <span className="ml-auto text-xs font-normal text-soft">{batch.state}</span>
          )}
        </h2>
        {batchCodeSays.length > 0 && <p className="text-xs">{batchCodeSays.map(({ says }) => says).join(', ')}</p>}
        {paper.map(({ id, title, says, logRatio }) => (
          <p key={id} className="grid grid-cols-[1rem_1fr] text-xs">
            <span className="pt-0.5">
              <Mark kind={logRatio > 0 ? 'caution' : 'match-small'} rem={0.625} />
            </span>
            <span>
              {title}. <span className="text-soft">{says}</span>
            </span>
          </p>
        ))}
        {price && (
          <p className="text-xs text-soft">
            Paid {printPrice(price.paidMinor)}, usual {printPrice(price.usualMinor)}
          </p>
        )}
      </section>
      <section aria-label="Seller’s record" className="border-t border-line pt-1">
        <h2 className="font-semibold">
          {channel === 'returned' ? 'Back over the counter' : (seller?.name ?? 'Seller not said')}
        </h2>
        <p className="text-xs text-soft">
          {CHANNEL_WORDS[channel]}, {printChance(judged.prior)} before looking.{' '}
          {record.settled === 0
            ? 'No batch of theirs is settled.'
            : `${record.notGenuine} of ${record.settled} settled batches not genuine.`}
        </p>
        {channel !== 'returned' && <ShareBar share={share.share} low={share.low} high={share.high} />}
        <p className="text-xs text-soft">Evidence about batches, not an accusation.</p>
      </section>
      <p className="border-t border-line pt-1 text-xs text-soft">
        Held against {reference ? `${reference.content.title}, version ${reference.version}` : 'no reference'}; beside
        it {USED[inspection.referenceUsed]}.
        {onPackaging &&
          inspection.otherReferences.map(({ referenceId, title }, i) => (
            <button
              key={referenceId}
              type="button"
              className="block min-h-6 text-left text-peat underline"
              onClick={() => onPackaging(referenceId)}
            >
              It is {title} {i === 0 && <Key>g</Key>}
            </button>
          ))}
      </p>
      {part.shape && reference && <WhereToLook shape={part.shape} tells={reference.content.tells} here={here} />}
    </div>
  );
}

const OF_PLUG: readonly MeasuredId[] = ['reachMm', 'lengthMm', 'hexMm', 'threadMm', 'resistorKohm', 'weightG'];
const measurable = (kind: string): readonly MeasuredId[] =>
  kind === 'plug' ? OF_PLUG : MEASURED_IDS.filter((id) => id === 'primaryOhm');

interface RowProps {
  readonly label: string;
  readonly value: string;
  readonly mark: MarkKind;
  readonly says?: string | undefined;
  /** In words, not a number as printed. */
  readonly plain?: boolean;
}

function Row({ label, value, mark, says, plain = false }: RowProps) {
  return (
    <>
      <dt className="text-slate">{label}</dt>
      <dd
        title={plain ? value : undefined}
        className={`min-w-0 break-words ${plain ? 'line-clamp-2' : 'num'} ${mark === 'unknown' ? 'text-soft' : ''}`}
      >
        {value}
      </dd>
      <dd className="pt-0.5">
        <Mark kind={mark} />
      </dd>
      {says && <dd className="col-span-3 pb-0.5 text-madder">{says}</dd>}
    </>
  );
}
