import { useServerAway } from '../wire/server-presence.ts';

/** Says that the server is out of reach, what is safe, and that it will be tried again. */
export function AwayBanner() {
  const away = useServerAway();
  return (
    <div role="status" className={away ? 'border-b border-line bg-madder-wash px-3 py-1.5 text-peat' : 'hidden'}>
      {away && (
        <>
          <b className="font-semibold text-madder">The server does not answer.</b> What you do on the slip is kept on
          this computer and sent when it is back. Retrying.
        </>
      )}
    </div>
  );
}
