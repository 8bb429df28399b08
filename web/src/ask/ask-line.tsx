import { counted } from '@brackenfell/core/words/counted';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { Command } from 'cmdk';
import { useEffect, useEffectEvent, useState, type RefObject } from 'react';
import type { PartAnswer } from '@brackenfell/contract/ask';
import type { AskedDimensions } from '@brackenfell/contract/dimensions';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { Key } from '../controls/key.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { Mark } from '../controls/mark.tsx';
import { STATE_MARK, STATE_WORDS } from '../quarantine/batch-words.ts';
import { useCounter } from '../counter/use-counter.ts';
import { mayBePlate } from '@brackenfell/core/garage/plate';
import { useScans, whenScanned } from './scans.ts';
import { partGroups } from './part-groups.ts';
import { useTake } from './take-answer.ts';
import { takersOf } from './takers.ts';
import { useAnswer } from './use-answer.ts';

const LONGEST = 120;
const UNIT_SIGNS: Record<UnitDisplay, string> = { metric: 'mm, N·m', imperial: 'in, lbf·ft', both: 'mm and in' };

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
  /** The question whose answer is to be taken as soon as it is there. */
  const [due, setDue] = useState<string>();
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
    setDue(undefined);
    setOpen(false);
    onLeave();
  });
  const { data } = answer;
  const groups = data ? partGroups(data.parts) : [];
  const takers = takersOf(data, question, take);
  const by = (value: string) => ({ value, onSelect: takers.get(value) ?? (() => undefined) });
  // The first answer is picked until an arrow picks another, and stays so when more answers come under the eye. What any
  // word can be, a plate or a measure, is picked only once nothing better has come.
  const isLastResort = (value: string) => value === 'plate' || value === 'measured';
  const quick = takersOf(answer.quick, question, take);
  const first = [...quick.keys()].find((value) => takers.has(value) && !isLastResort(value));
  const picked = takers.has(chosen) ? chosen : (first ?? [...takers.keys()][0] ?? '');
  // Enter is of what was typed: while only fewer letters are answered, or what is alike is still looked for, it waits.
  const isOf =
    first !== undefined || answer.isWhole || (answer.full !== undefined && !isLastResort(picked) && takers.size > 0);
  const takePicked = useEffectEvent(() => takers.get(picked)?.());
  useEffect(() => {
    if (due === question && isOf) takePicked();
  }, [due, question, isOf]);
  const isNothing = answer.isWhole && takers.size === 0 && answer.full?.measures.length === 0;
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
          if (event.key === 'Enter') {
            event.preventDefault();
            setDue(question);
          }
          if (event.key !== 'Escape') return;
          setDue(undefined);
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
            setDue(undefined);
            setOpen(true);
          }}
          onFocus={(event) => {
            setOpen(true);
            event.currentTarget.select();
          }}
          onBlur={() => {
            setDue(undefined);
            setOpen(false);
          }}
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
          {isNothing && !answer.error && (
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
                <Command.Item key={`part ${part.partId}`} {...by(`part ${part.partId}`)} className="answer">
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
          {answer.full && !answer.isWhole && <p className="p-3 text-soft">Looking for numbers that are alike …</p>}
          {data && data.engines.length > 0 && (
            <Command.Group heading="Engines">
              {data.engines.map((engine) => (
                <Command.Item key={`engine ${engine.engineId}`} {...by(`engine ${engine.engineId}`)} className="answer">
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
                  {...by(`vehicle ${vehicle.vehicleId}`)}
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
                  {...by(`garage ${vehicle.vehicleId}`)}
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
                <Command.Item key={`slip ${slip.slipId}`} {...by(`slip ${slip.slipId}`)} className="answer">
                  <b className="num font-semibold">{slip.docket}</b>
                  <span className="text-soft">{slip.title}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {data && data.batches.length > 0 && (
            <Command.Group heading="Batches">
              {data.batches.map((batch) => (
                <Command.Item key={`batch ${batch.batchId}`} {...by(`batch ${batch.batchId}`)} className="answer">
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
              <Command.Item {...by('measured')} className="answer">
                <b className="font-semibold">Search by dimension</b>
                <span className="num text-soft">{sayMeasured(data.measured)}</span>
              </Command.Item>
            </Command.Group>
          )}
          {data && mayBePlate(question) && (
            <Command.Group heading="A plate or serial number">
              <Command.Item {...by('plate')} className="answer">
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

function howFound(part: PartAnswer): string {
  const said = [
    part.number === part.printed ? '' : `${part.nameKind} of ${part.number}`,
    // Their heading says that they are only alike.
    part.stage === 'looser' ? '' : part.how === '' ? 'as written' : part.how,
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
