import { useState } from 'react';

interface SureButtonProps {
  /** What is asked for. */
  readonly asks: string;
  /** What the second press says that it does, for good. */
  readonly sure: string;
  readonly onSure: () => void;
}

/** For what cannot be taken back: the first press asks, the second says what becomes of it and does it. */
export function SureButton({ asks, sure, onSure }: SureButtonProps) {
  const [asked, ask] = useState(false);
  if (!asked)
    return (
      <button type="button" className="button-plain" onClick={() => ask(true)}>
        {asks}
      </button>
    );
  return (
    <span className="flex flex-wrap gap-2">
      <button
        type="button"
        className="button-act"
        autoFocus
        onClick={() => {
          ask(false);
          onSure();
        }}
      >
        {sure}
      </button>
      <button type="button" className="button-plain" onClick={() => ask(false)}>
        Not yet
      </button>
    </span>
  );
}
