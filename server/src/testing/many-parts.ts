import { sql } from 'kysely';
import { choosePartFigures } from '../catalogue/figure-store.ts';
import { addNames, readMakerOf } from '../catalogue/name-store.ts';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import type { Database } from '../db/database.ts';

const PAGE = 1000;

/**
 * Parts like one that there is, of its maker and with its figures, but for those given anew by their place: a catalogue that
 * is full of a kind. Gives their ids in that order.
 */
export async function makeManyLike(
  owner: Database,
  likeId: string,
  many: number,
  anew: (place: number) => Readonly<Record<string, unknown>>,
): Promise<readonly string[]> {
  const maker = await readMakerOf(owner, likeId);
  const made: string[] = [];
  for (let first = 0; first < many; first += PAGE) {
    const places = Array.from({ length: Math.min(PAGE, many - first) }, (_, i) => first + i);
    await owner.transaction().execute(async (trx) => {
      const { rows } = await sql<{ id: string }>`
        with ids as (select nextval(pg_get_serial_sequence('part', 'id')) as id from generate_series(1, ${places.length}::int))
        insert into part (id, maker_id, kind, cluster_id) overriding system value
        select ids.id, p.maker_id, p.kind, ids.id from ids cross join part p where p.id = ${likeId} returning id`.execute(
        trx,
      );
      const ids = rows.map(({ id }) => id);
      await addNames(
        trx,
        ids.map((partId) => ({ partId, maker, kind: 'catalogue', printed: `MANY ${partId}` })),
      );
      const other = places.flatMap((place, i) =>
        Object.entries(anew(place)).map(([fact, value]) => ({ id: ids[i]!, fact, value: JSON.stringify(value) })),
      );
      await sql`
        with anew as (select * from unnest(${other.map(({ id }) => id)}::bigint[], ${other.map(({ fact }) => fact)}::text[],
                                           ${other.map(({ value }) => value)}::jsonb[]) as a (part_id, attribute, value))
        insert into figure (part_id, attribute, value, source_rank, source_name)
        select m.id, f.attribute, coalesce(a.value, f.value), f.source_rank, f.source_name
          from unnest(${ids}::bigint[]) as m (id)
          join figure f on f.part_id = ${likeId} and f.withdrawn_at is null
          left join anew a on a.part_id = m.id and a.attribute = f.attribute`.execute(trx);
      await bumpCatalogueVersion(trx);
      await choosePartFigures(trx, ids);
      made.push(...ids);
    });
  }
  return made;
}
