import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import { ShareBar } from '../controls/share-bar.tsx';
import { useSession } from '../session/use-session.ts';
import { NewSeller } from './new-seller.tsx';
import { useSellers } from './use-quarantine.ts';

const SHOWN_TO = 0.6;

/** What each seller's settled batches say, with how sure that is. */
export function SellersPage() {
  const sellers = useSellers();
  const { data: me } = useSession();
  const all = sellers.data?.sellers ?? [];
  return (
    <main className="desk-main col-span-2" aria-label="Sellers">
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="Record by seller">
        <h1 className="text-verdict font-semibold">Share of settled batches found not genuine</h1>
        <p className="max-w-3xl pb-3 text-soft">
          Only what a supervisor has settled counts, one way or the other; our own suspicions do not. The bar is the
          range in which the share lies nine times in ten: a wide one says that little is known. Evidence about batches,
          not an accusation: a seller may have been deceived as we were.
        </p>
        {sellers.error && (
          <p role="alert" className="text-madder">
            {sellers.error.message}
          </p>
        )}
        {!sellers.data && !sellers.error && <p className="text-soft">Fetching the sellers …</p>}
        {me?.role !== 'editor' && me?.role !== 'starter' && <NewSeller />}
        {all.length > 0 && (
          <table className="w-full max-w-4xl">
            <thead className="text-left text-xs text-slate">
              <tr>
                <th className="font-normal">Seller</th>
                <th className="text-right font-normal">Batches</th>
                <th className="text-right font-normal">Settled</th>
                <th className="text-right font-normal">Not genuine</th>
                <th className="w-[40%] pl-6 font-normal">
                  <span className="flex justify-between">
                    {[0, 0.15, 0.3, 0.45, 0.6].map((share) => (
                      <span key={share} className="num">
                        {Math.round(share * 100)}%
                      </span>
                    ))}
                  </span>
                </th>
                <th className="pl-4 text-right font-normal">Before looking</th>
              </tr>
            </thead>
            <tbody>
              {all.map((seller) => (
                <tr key={seller.sellerId} className="border-t border-hair">
                  <td className="py-1">
                    <b className="font-semibold">{seller.name}</b>
                    <span className="block text-xs text-soft">{CHANNEL_WORDS[seller.channel]}</span>
                  </td>
                  <td className="num text-right">{seller.batches}</td>
                  <td className="num text-right">{seller.settled}</td>
                  <td className="num text-right">{seller.notGenuine}</td>
                  <td className="pl-6">
                    <ShareBar share={seller.share} low={seller.low} high={seller.high} full={SHOWN_TO} />
                    <span className="text-xs text-soft">
                      {seller.share === null
                        ? 'nothing settled yet'
                        : `${Math.round(seller.share * 100)}%, between ${Math.round(seller.low * 100)} and ${Math.round(seller.high * 100)}%`}
                    </span>
                  </td>
                  <td className="num pl-4 text-right">{printChance(seller.prior)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </main>
  );
}
