import { useEffect, useState } from 'react';

const SECOND_MS = 1000;

/** Seconds since the case was dealt, beside those within which it counts as known. */
export function CaseClock({ dealtAt, parSeconds }: { readonly dealtAt: string; readonly parSeconds: number }) {
  const [now, tick] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => tick(Date.now()), SECOND_MS);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.floor((now - Date.parse(dealtAt)) / SECOND_MS));
  return (
    <span className="num text-soft" role="timer" aria-live="off">
      <b className={seconds > parSeconds ? 'text-madder' : 'text-peat'}>{seconds} s</b> of {parSeconds}
    </span>
  );
}
