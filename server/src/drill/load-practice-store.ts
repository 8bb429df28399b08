import { sql } from 'kysely';
import type { Draw } from '@brackenfell/core/drill/drill-case';
import type { PastAnswer } from '@brackenfell/core/drill/progress';
import type { Context } from '../context/context.ts';
import { deal } from './deal.ts';

/** Loads what somebody has practised: real cases, each answered as it is told. Gives how many; none where nobody here has that name. */
export async function loadPractice(
  context: Context,
  { name, answers }: { readonly name: string; readonly answers: readonly PastAnswer[] },
  draw: Draw,
): Promise<number> {
  const { db } = context;
  const staff = await db.selectFrom('staff').select('id').where('name', '=', name).executeTakeFirst();
  if (!staff) return 0;
  let loaded = 0;
  for (const { topic, hoursAgo, seconds, isRight } of [...answers].sort((a, b) => b.hoursAgo - a.hoursAgo)) {
    const dealt = await deal({ context, db, units: 'metric', draw }, [topic]);
    if (!dealt) continue;
    const choice = isRight ? dealt.right : (dealt.choices.find(({ id }) => id !== dealt.right)?.id ?? null);
    await sql`
      insert into drill_case (staff_id, topic, dealt, dealt_at, choice, is_right, answered_at)
      select ${staff.id}, ${dealt.topic}, ${JSON.stringify(dealt)}, at, ${choice}, ${isRight}, at + make_interval(secs => ${seconds})
        from (select now() - make_interval(hours => ${hoursAgo}::int) as at) t`.execute(db);
    loaded += 1;
  }
  return loaded;
}
