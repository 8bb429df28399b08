import type { FallbackProps } from 'react-error-boundary';
import { GoneError } from '../controls/room.tsx';

/** What stands where a screen failed: what happened, what is safe, what to do. The rest of the counter goes on. */
export function FaultScreen({ error, resetErrorBoundary }: FallbackProps) {
  const isGone = error instanceof GoneError;
  return (
    <main className="desk-main col-span-2 grid content-start gap-3 p-6" role="alert">
      <h1 className="text-head font-semibold">{isGone ? 'This screen did not come' : 'This screen failed'}</h1>
      <p className="max-w-prose">
        {isGone
          ? 'A newer version of Brackenfell has taken its place, or the connection was gone when it was asked for. Loading the page again gets it, and takes a second.'
          : 'Something in it went wrong. The slip and everything else go on.'}{' '}
        What is on the slip is stored, and what was not sent yet is kept on this computer.
      </p>
      <p className="flex gap-2">
        <button type="button" className="button-act" onClick={() => window.location.reload()}>
          Load the page again
        </button>
        {!isGone && (
          <button type="button" className="button-plain" onClick={resetErrorBoundary}>
            Try this screen again
          </button>
        )}
      </p>
    </main>
  );
}
