import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Shop } from '@brackenfell/contract/shop';
import { writeMomentsAs } from '@brackenfell/core/words/moments';
import { writeMoneyIn } from '@brackenfell/core/words/money';
import { call } from '../wire/call.ts';
import { takeShopUnits } from '../settings/settings.ts';

let tax = 0;

/** The shop's rate of tax, in basis points; known before anything but the sign-in is shown. */
export const ourTax = (): number => tax;

function takeAsOurs(shop: Shop): void {
  tax = shop.taxBasisPoints;
  writeMoneyIn(shop.currency, shop.locale);
  writeMomentsAs(shop.locale);
}

/** Which shop this is; `null` where nobody has begun one. From its answer on, money and moments are written as it has them. */
export function useOurShop() {
  const shop = useQuery({
    queryKey: ['shop'],
    queryFn: async () => {
      const { shop: found } = await call('getShop', {});
      if (found) takeAsOurs(found);
      return found;
    },
  });
  const units = shop.data?.units;
  useEffect(() => {
    if (units) takeShopUnits(units);
  }, [units]);
  return shop;
}
