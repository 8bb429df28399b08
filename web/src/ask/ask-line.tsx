import { counted } from '@brackenfell/core/words/counted';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useEffect, useState, type RefObject } from 'react';
import type { PartAnswer } from '@brackenfell/contract/ask';
import type { AskedDimensions } from '@brackenfell/contract/dimensions';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { Key } from '../controls/key.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { Mark } from '../controls/mark.tsx';
import { STATE_MARK, STATE_WORDS } from '../quarantine/batch-words.ts';
import { useCounter } from '../counter/use-counter.ts';
import { call } from '../wire/call.ts';
import { mayBePlate } from '@brackenfell/core/garage/plate';
import { useScans, whenScanned } from './scans.ts';
import { useTake } from './take-answer.ts';

/** Suggestions follow the typing; the full search waits until the typing rests. */
const PAUSE_MS = 40;
const REST_MS = 180;
const LONGEST = 120;
const UNIT_SIGNS: Record<UnitDisplay, string> = { metric: 'mm, N·m', imperial: 'in, lbf·ft', both: 'mm and in' };

function useSettled(text: string, pauseMs: number): string {
  const [settled, settle] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => settle(text), pauseMs);
    return () => {
      clearTimeout(timer);
    };
  }, [text, pauseMs]);
  return settled;
}

/** What answers to a question: quick suggestions at once, then everything. */
function useAnswer(text: string, engine: string | undefined, units: UnitDisplay) {
  const typed = useSettled(text, PAUSE_MS);
  const rested = useSettled(text, REST_MS);
  const query = (q: string, quick: 'yes' | 'no') => ({
    queryKey: ['ask', q, quick, engine, units],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      call('ask', { query: { q, quick, units, ...(engine ? { engine } : {}) } }, { signal }),
    enabled: q !== '',
  });
  const quick = useQuery({ ...query(typed, 'yes'), placeholderData: keepPreviousData });
  const full = useQuery(query(rested, 'no'));
  const isFull = rested === text && full.data !== undefined;
  return { data: text === '' ? undefined : isFull ? full.data : quick.data, isFull, error: full.error ?? quick.error };
}

/** The one box for everything: numbers, stampings, barcodes, engines, vehicles, slips, batches. In it every character is text. */
export function AskLine({
  inputRef,
  onLeave,
  onKeys,
  onScans,
  units,
}: {
  inputRef: RefObject<HTMLInputElement | null>;
  onLeave: () => void;
  onKeys: () => void;
  onScans: () => void;
  units: UnitDisplay;
}) {
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const [chosen, choose] = useState('');
  const { engineId } = useCounter();
  const { total } = useScans();
  useEffect(
    () =>
      whenScanned((code) => {
        // A scan is asked here as if it had been typed, in place of what stood.
        setText(code);
        choose('');
        setOpen(true);
        inputRef.current?.focus();
      }),
    [inputRef],
  );
  const question = text.trim();
  const answer = useAnswer(question, engineId, units);
  const take = useTake(() => {
    setOpen(false);
    onLeave();
  });
  const { data } = answer;
  const groups = data ? partGroups(data.parts) : [];
  const values = data
    ? [
        ...groups.flatMap(({ parts }) => parts.map((p) => `part ${p.partId}`)),
        ...data.engines.map((e) => `engine ${e.engineId}`),
        ...data.vehicles.map((v) => `vehicle ${v.vehicleId}`),
        ...data.garage.map((v) => `garage ${v.vehicleId}`),
        ...data.slips.map((s) => `slip ${s.slipId}`),
        ...data.batches.map((b) => `batch ${b.batchId}`),
        ...(data.measured ? ['measured'] : []),
        ...(mayBePlate(question) ? ['plate'] : []),
      ]
    : [];
  // The first answer is picked until an arrow picks another; answers arrive later than letters are typed.
  const picked = values.includes(chosen) ? chosen : (values[0] ?? '');
  const nothing = data && answer.isFull && values.length === 0 && data.measures.length === 0;
  return (
    <div className="frame-ask" role="search">
      <Command
        className="contents"
        shouldFilter={false}
        loop
        label="Ask line"
        value={picked}
        onValueChange={choose}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          setOpen(false);
          onLeave();
        }}
      >
        <Key>/</Key>
        <Command.Input
          ref={inputRef}
          value={text}
          maxLength={LONGEST}
          onValueChange={(value) => {
            setText(value);
            choose('');
            setOpen(true);
          }}
          onFocus={(event) => {
            setOpen(true);
            event.currentTarget.select();
          }}
          onBlur={() => setOpen(false)}
          placeholder="Number, stamping, engine, vehicle, slip"
          aria-label="Ask: part number, stamping, barcode, engine, vehicle or slip"
          className="ask-input num"
          data-scans
          spellCheck={false}
          autoComplete="off"
        />
        <div className="ml-auto flex gap-4 whitespace-nowrap text-soft">
          <span>
            {UNIT_SIGNS[units]} <Key>u</Key>
          </span>
          {total > 0 && (
            <button type="button" onClick={onScans} className="min-h-6">
              {counted(total, 'scan')} <Key>`</Key>
            </button>
          )}
          <button type="button" onClick={onKeys} className="min-h-6">
            keys <Key>?</Key>
          </button>
        </div>
        <Command.List
          className={open && text.trim() !== '' ? 'ask-answers' : 'hidden'}
          onMouseDown={(event) => event.preventDefault()}
        >
          {answer.error && (
            <p role="alert" className="p-3 text-madder">
              {answer.error.message}
            </p>
          )}
          {!data && !answer.error && <p className="p-3 text-soft">Looking …</p>}
          {data?.remark && <p className="border-b border-hair p-3 text-heather">{data.remark}</p>}
          {nothing && (
            <p className="p-3">
              Nothing answers to “{question}”. Try fewer characters, or words of the engine or vehicle.
            </p>
          )}
          {data && data.onlyOf.length > 0 && (
            <p className="border-b border-hair px-3 py-1 text-soft">
              Only {data.onlyOf.join(', ')} numbers: its name was asked for.
            </p>
          )}
          {data && data.measures.length > 0 && (
            <div className="border-b border-hair px-3 py-2" role="group" aria-label="Read as a measurement">
              {data.measures.map(({ of, says }) => (
                <p key={of}>
                  As a {of}: <b className="num font-semibold">{says}</b>
                </p>
              ))}
            </div>
          )}
          {groups.map(({ heading, parts }) => (
            <Command.Group key={heading} heading={heading}>
              {parts.map((part) => (
                <Command.Item
                  key={`part ${part.partId}`}
                  value={`part ${part.partId}`}
                  onSelect={() => take.part(part)}
                  className="answer"
                >
                  <Printed text={part.printed} differs={part.differs} />
                  <span className="text-soft">{part.kind === 'oe-number' ? `${part.maker} number` : part.maker}</span>
                  <span>{howFound(part)}</span>
                  <span className="num ml-auto text-right">
                    {isPartKind(part.kind) ? `${printPrice(part.priceMinor)}  ${part.onHand ?? 0} here` : ''}
                  </span>
                </Command.Item>
              ))}
            </Command.Group>
          ))}
          {data && data.engines.length > 0 && (
            <Command.Group heading="Engines">
              {data.engines.map((engine) => (
                <Command.Item
                  key={`engine ${engine.engineId}`}
                  value={`engine ${engine.engineId}`}
                  onSelect={() => take.engine(engine.engineId)}
                  className="answer"
                >
                  <b className="font-semibold">{engine.title}</b>
                  <span className="text-soft">{engine.summary}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data && data.vehicles.length > 0 && (
            <Command.Group heading="Vehicles">
              {data.vehicles.map((vehicle) => (
                <Command.Item
                  key={`vehicle ${vehicle.vehicleId}`}
                  value={`vehicle ${vehicle.vehicleId}`}
                  onSelect={() => take.engine(vehicle.engineId, `${vehicle.title} ${vehicle.years}`)}
                  className="answer"
                >
                  <b className="font-semibold">{vehicle.title}</b>
                  <span className="text-soft">{vehicle.years}</span>
                  <span>engine {vehicle.engine}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data && data.garage.length > 0 && (
            <Command.Group heading="Garage book">
              {data.garage.map((vehicle) => (
                <Command.Item
                  key={`garage ${vehicle.vehicleId}`}
                  value={`garage ${vehicle.vehicleId}`}
                  onSelect={() => take.garage(vehicle.vehicleId)}
                  className="answer"
                >
                  <b className="font-semibold">{vehicle.called}</b>
                  <span className="num">{vehicle.plate}</span>
                  <span className="text-soft">{vehicle.customer}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data && data.slips.length > 0 && (
            <Command.Group heading="Slips">
              {data.slips.map((slip) => (
                <Command.Item
                  key={`slip ${slip.slipId}`}
                  value={`slip ${slip.slipId}`}
                  onSelect={() => take.slip(slip.slipId)}
                  className="answer"
                >
                  <b className="num font-semibold">{slip.docket}</b>
                  <span className="text-soft">{slip.title}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data && data.batches.length > 0 && (
            <Command.Group heading="Batches">
              {data.batches.map((batch) => (
                <Command.Item
                  key={`batch ${batch.batchId}`}
                  value={`batch ${batch.batchId}`}
                  onSelect={() => take.batch(batch.batchId)}
                  className="answer"
                >
                  <Mark kind={STATE_MARK[batch.state]} />
                  <b className="num font-semibold">{batch.code}</b>
                  <span className="num">{batch.printed}</span>
                  <span className="text-soft">
                    {batch.seller}, {STATE_WORDS[batch.state]}
                  </span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data?.measured && (
            <Command.Group heading="A part that was measured">
              <Command.Item value="measured" onSelect={() => take.measured(data.measured!)} className="answer">
                <b className="font-semibold">Search by dimension</b>
                <span className="num text-soft">{sayMeasured(data.measured)}</span>
              </Command.Item>
            </Command.Group>
          )}
          {data && mayBePlate(question) && (
            <Command.Group heading="A plate or serial number">
              <Command.Item value="plate" onSelect={() => take.plate(question)} className="answer">
                <b className="num font-semibold">{question.toUpperCase()}</b>
                <span className="text-soft">ask the register; what it knows fills the slip’s vehicle</span>
              </Command.Item>
            </Command.Group>
          )}
        </Command.List>
      </Command>
    </div>
  );
}

/** Parts under the name of what was asked: sure readings by what kind of name answered, near ones as a question. */
function partGroups(parts: readonly PartAnswer[]): { heading: string; parts: PartAnswer[] }[] {
  const isSure = ({ stage }: PartAnswer) => stage === 'exact' || stage === 'fold' || stage === 'wildcard';
  const sure = parts.filter(isSure);
  const groups = [
    { heading: 'Barcodes', parts: sure.filter((p) => p.nameKind === 'barcode') },
    { heading: 'Parts', parts: sure.filter((p) => p.nameKind !== 'barcode' && isPartKind(p.kind)) },
    {
      heading: 'Engine makers’ numbers',
      parts: sure.filter((p) => p.nameKind !== 'barcode' && p.kind === 'oe-number'),
    },
    { heading: 'Kits, tools and sundries', parts: sure.filter((p) => p.kind === 'kit' || p.kind === 'sundry') },
    { heading: 'Spoken of, held by no catalogue', parts: sure.filter((p) => p.kind === 'unheld') },
    { heading: 'Did you mean', parts: parts.filter((p) => !isSure(p) && p.stage !== 'looser') },
    { heading: 'Only alike', parts: parts.filter((p) => p.stage === 'looser') },
  ];
  return groups.filter((group) => group.parts.length > 0);
}

function howFound(part: PartAnswer): string {
  const said = [
    part.number === part.printed ? '' : `${part.nameKind} of ${part.number}`,
    part.how === '' ? 'as written' : part.how,
    part.suitsEngine === false && part.stage !== 'exact' ? 'another hole than this engine’s' : '',
    part.sharedBy > 1 ? `${part.sharedBy} parts share this number` : '',
    part.succession?.says ?? '',
  ];
  return said.filter(Boolean).join('; ');
}

/** A number with the characters that were read as others marked. */
function Printed({ text, differs }: { text: string; differs: readonly number[] }) {
  return (
    <b className="num font-semibold">
      {[...text].map((ch, i) =>
        differs.includes(i) ? (
          <mark key={i} className="border-b-2 border-bracken bg-transparent font-bold text-bracken">
            {ch}
          </mark>
        ) : (
          ch
        ),
      )}
    </b>
  );
}

function sayMeasured({ threadMm, reachMm, hexMm, seat, terminal }: AskedDimensions): string {
  return [
    threadMm === undefined ? '' : `M${threadMm}`,
    reachMm === undefined ? '' : `reach ${reachMm} mm`,
    hexMm === undefined ? '' : `hex ${hexMm} mm`,
    seat ?? '',
    terminal ?? '',
  ]
    .filter(Boolean)
    .join(', ');
}
