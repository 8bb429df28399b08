import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { addNames, readMakerOf, readNames, removeName } from '../catalogue/name-store.ts';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import { today } from '../context/today.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { addListing, readListingsOf, removeListing } from './listing-store.ts';
import type { MendingEntry } from './store.ts';

const GONE = 'It does not stand any more: look at the part as it is now.';
type Change<W extends MendingChange['what']> = Extract<MendingChange, { what: W }>;

/** A name as the history has it. */
type NameTold = Pick<Change<'name'>, 'as' | 'printed'>;
/** A listing as the history has it. */
type ListingTold = Omit<Mending['listings'][number], 'listingId' | 'engine'>;

/** Adds a name or takes one away; the number a part is called by stays. */
export async function changeName(
  trx: Writing,
  partId: string,
  change: Change<'name' | 'unname'>,
  staffId: string,
): Promise<Trouble | undefined> {
  const held = await readNames(trx, partId);
  if (change.what === 'name') {
    const { as, printed } = change;
    if (held.some((one) => one.kind === as && one.printed === printed))
      return trouble('already-there', 'It is called so already.');
    await putName(trx, partId, { as, printed });
    await recordChange(trx, { staffId, subject: 'name', subjectId: partId, action: 'added', after: { as, printed } });
    return undefined;
  }
  const name = held.find(({ id }) => id === change.nameId);
  if (!name) return trouble('changed-meanwhile', GONE);
  if (name.id === held[0]!.id) return trouble('not-allowed-now', 'It is the number the part is called by: it stays.');
  await dropName(trx, partId, name.id);
  const before: NameTold = { as: name.kind, printed: name.printed };
  await recordChange(trx, { staffId, subject: 'name', subjectId: partId, action: 'removed', before });
  return undefined;
}

async function putName(trx: Writing, partId: string, { as, printed }: NameTold): Promise<void> {
  await addNames(trx, [{ partId, maker: await readMakerOf(trx, partId), kind: as, printed }]);
  await renamed(trx, partId);
}

async function dropName(trx: Writing, partId: string, nameId: string): Promise<void> {
  await removeName(trx, nameId);
  await renamed(trx, partId);
}

/** What is kept in memory of a part has its names with its figures; what is kept of an engine has them in its trails. */
async function renamed(trx: Writing, partId: string): Promise<void> {
  await bumpCatalogueVersion(trx);
  await chooseFigures(trx, [partId], []);
}

/** Says that somebody offers a part for an engine, or that it does no more. */
export async function changeListing(
  trx: Writing,
  partId: string,
  change: Change<'listing' | 'unlist'>,
  staffId: string,
): Promise<Trouble | undefined> {
  const entry = { staffId, subject: 'listing', subjectId: partId };
  if (change.what === 'listing') {
    const { engineId, place, source, builtFrom, builtTo } = change;
    const told: ListingTold = { engineId, place, source, statedOn: today(), builtFrom, builtTo };
    if (!(await putListing(trx, partId, told)))
      return trouble('already-there', 'That source lists it for that engine already, or there is no such engine.');
    await recordChange(trx, { ...entry, action: 'added', after: told });
    return undefined;
  }
  const listing = (await readListingsOf(trx, partId)).find(({ id }) => id === change.listingId);
  if (!listing) return trouble('changed-meanwhile', GONE);
  await removeListing(trx, partId, listing.engine_id, listing.source);
  await bumpCatalogueVersion(trx);
  const before: ListingTold = {
    engineId: listing.engine_id,
    place: listing.place,
    source: listing.source,
    statedOn: listing.stated_on,
    builtFrom: listing.built_from,
    builtTo: listing.built_to,
  };
  await recordChange(trx, { ...entry, action: 'removed', before });
  return undefined;
}

async function putListing(trx: Writing, partId: string, told: ListingTold): Promise<boolean> {
  const added = await addListing(trx, {
    part_id: partId,
    engine_id: told.engineId,
    place: told.place,
    source: told.source,
    stated_on: told.statedOn,
    built_from: told.builtFrom,
    built_to: told.builtTo,
  });
  if (added) await bumpCatalogueVersion(trx);
  return added;
}

/** What was added goes, what was taken away comes back as it was; told as a change of its own. */
export async function takeBackNameOrListing(
  trx: Writing,
  partId: string,
  { subject, action, before, after }: MendingEntry,
  staffId: string,
): Promise<void> {
  const wasAdded = action === 'added';
  if (subject === 'name') {
    const told = (wasAdded ? after : before) as NameTold;
    const held = await readNames(trx, partId);
    const name = held.find((one) => one.kind === told.as && one.printed === told.printed);
    if (!wasAdded && !name) await putName(trx, partId, told);
    if (wasAdded && name) await dropName(trx, partId, name.id);
  } else {
    const told = (wasAdded ? after : before) as ListingTold;
    if (wasAdded) await removeListing(trx, partId, told.engineId, told.source);
    else await putListing(trx, partId, told);
    await bumpCatalogueVersion(trx);
  }
  await recordChange(trx, {
    staffId,
    subject,
    subjectId: partId,
    action: wasAdded ? 'removed' : 'added',
    ...(wasAdded ? { before: after } : { after: before }),
  });
}

/** A name or a listing of the history, in words. */
export function sayNameOrListing({ subject, before, after }: MendingEntry): string {
  const told = after ?? before;
  if (subject === 'name') return `${(told as NameTold).as} number ${(told as NameTold).printed}`;
  const { engineId, source, builtFrom, builtTo } = told as ListingTold;
  const built = [builtFrom && `from ${builtFrom}`, builtTo && `to ${builtTo}`].filter(Boolean).join(' ');
  return `listed for ${engineId}${built === '' ? '' : `, built ${built}`} (${source})`;
}
