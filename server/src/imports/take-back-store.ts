import { sql } from 'kysely';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import type { Writing } from '../db/database.ts';
import { lockAllClusters, settleClusters } from '../interchange/cluster-store.ts';

/** What stands in the way of taking a list back, told to whoever asked. */
export class InTheWay extends Error {}

const STILL_USED = '23503';

/**
 * Takes back everything a written list made, in the caller's one transaction. Refused as a whole where a price was changed
 * since, or where a part it brought is in use.
 */
export async function takeBackList(trx: Writing, importId: string): Promise<void> {
  await lockAllClusters(trx);
  const { rows: changed } = await sql<{ printed: string }>`
    select min(n.printed) as printed
      from list_made_each m join part_name n on n.part_id = m.subject_id and n.kind in ('catalogue', 'oe')
      left join price p on m.kind = 'price' and p.part_id = m.subject_id
      left join list_import l on l.id = m.import_id
      left join supplier_price s on m.kind = 'supplier-price' and s.part_id = m.subject_id and s.supplier = l.supplier
     where m.import_id = ${importId}
       and (m.kind = 'price' and ((m.after ->> 'ourMinor')::int, (m.after ->> 'packOf')::int) is distinct from (p.each_minor, p.pack_of)
         or m.kind = 'supplier-price' and s.import_id is distinct from m.import_id)
     group by m.subject_id order by 1`.execute(trx);
  if (changed.length > 0)
    throw new InTheWay(
      `The price of ${changed[0]!.printed}${changed.length > 1 ? ` and ${changed.length - 1} more` : ''} was changed since. Take back what changed it first.`,
    );
  const { rows: touched } = await sql<{ id: string }>`
    (select f.part_id as id from list_made_each m join figure f on f.id = m.subject_id where m.import_id = ${importId} and m.kind = 'figure'
     union select r.from_part_id from list_made_each m join reference r on r.id = m.subject_id where m.import_id = ${importId} and m.kind = 'reference'
     union select r.to_part_id from list_made_each m join reference r on r.id = m.subject_id where m.import_id = ${importId} and m.kind = 'reference')
    except select subject_id from list_made_each where import_id = ${importId} and kind = 'part'`.execute(trx);
  const stay = touched.map(({ id }) => id);
  try {
    await sql`select take_back_list(${importId})`.execute(trx);
  } catch (error) {
    if ((error as { code?: string }).code !== STILL_USED) throw error;
    throw new InTheWay(
      'A part it brought is in use: on a slip, a shelf or another list. It stays, and the list with it.',
    );
  }
  await bumpCatalogueVersion(trx);
  await chooseFigures(trx, stay, []);
  await settleClusters(trx, new Set(stay));
}
