import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { isPartKind } from '@brackenfell/core/fitment/part-kinds';
import { call } from '../wire/call.ts';

export interface FoundPart {
  readonly partId: string;
  readonly printed: string;
  readonly maker: string;
}

interface NumberFieldProps {
  readonly label: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly part: FoundPart | undefined;
  readonly onPart: (part: FoundPart | undefined) => void;
  readonly first?: boolean;
}

/** A part number that must be of the catalogue: says which part it is, or why it is none, while it is typed. */
export function NumberField({ label, text, onText, part, onPart, first = false }: NumberFieldProps) {
  const asked = text.trim();
  const found = useQuery({
    queryKey: ['number', asked],
    queryFn: () => call('readNumber', { params: { number: asked } }),
    enabled: asked.length > 1,
    placeholderData: (before) => before,
  });
  const sold = asked.length > 1 ? (found.data?.parts.filter(({ kind }) => isPartKind(kind)) ?? []) : [];
  const only = sold.length === 1 && !found.isPlaceholderData ? sold[0] : undefined;
  const onlyId = only?.partId;
  useEffect(() => {
    if (onlyId !== part?.partId) onPart(only);
  });
  const says = found.error
    ? found.error.message
    : part
      ? `${part.printed === asked ? '' : `${part.printed}, `}${part.maker}${only?.worn ? ', read through worn characters' : ''}`
      : sold.length > 1
        ? `${sold.length} parts bear it: ${sold.map((one) => one.maker).join(', ')}. Write it in full.`
        : asked.length > 1 && found.data && !found.isPlaceholderData
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
        onChange={(event) => onText(event.target.value)}
      />
      {says !== '' && <span className={`block truncate text-xs ${part ? 'text-soft' : 'text-madder'}`}>{says}</span>}
    </span>
  );
}
