import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect } from 'react';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { call } from '../wire/call.ts';

export interface FoundPart {
  readonly partId: string;
  readonly printed: string;
  readonly maker: string;
}

/** What is asked of numbers that are typed. */
export const NUMBERS = ['number'];

interface NumberFieldProps {
  readonly label: string;
  readonly text: string;
  readonly part: FoundPart | undefined;
  readonly onChange: (text: string, part: FoundPart | undefined) => void;
  readonly first?: boolean;
  /** Also a number to order by, or one that is only spoken of. */
  readonly anyKind?: boolean;
}

/**
 * A part number that must be of the catalogue: says which part it is, or why it is none, while it is typed. A part found
 * before stands until the text changes or an answer says otherwise: a lookup that fails takes nothing away.
 */
export function NumberField({ label, text, part, onChange, first = false, anyKind = false }: NumberFieldProps) {
  const asked = text.trim();
  const found = useQuery({
    queryKey: [...NUMBERS, asked],
    queryFn: () => call('readNumber', { params: { number: asked } }),
    enabled: asked.length > 1,
    placeholderData: (before) => before,
  });
  const answered = asked.length > 1 && found.data !== undefined && !found.isPlaceholderData;
  const sold = asked.length > 1 ? (found.data?.parts.filter(({ kind }) => anyKind || isPartKind(kind)) ?? []) : [];
  const only = answered && sold.length === 1 ? sold[0] : undefined;
  // Before anything else is heard: a key pressed in between would find that nothing is looked up and nothing found.
  useLayoutEffect(() => {
    if (answered && only?.partId !== part?.partId) onChange(text, only);
  });
  const says = part
    ? `${part.printed === asked ? '' : `${part.printed}, `}${part.maker}${only?.worn ? ', read through worn characters' : ''}`
    : found.error
      ? found.error.message
      : sold.length > 1
        ? `${sold.length} parts bear it: ${sold.map((one) => one.maker).join(', ')}. Write it in full.`
        : answered
          ? 'No part of this catalogue'
          : '';
  return (
    <span className="min-w-0">
      <input
        className="field num"
        aria-label={label}
        autoFocus={first}
        value={text}
        maxLength={40}
        spellCheck={false}
        onChange={(event) => onChange(event.target.value, undefined)}
      />
      {says !== '' && <span className={`block truncate text-xs ${part ? 'text-soft' : 'text-madder'}`}>{says}</span>}
    </span>
  );
}
