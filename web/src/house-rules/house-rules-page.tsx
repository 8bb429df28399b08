import { wordFor } from '@brackenfell/core/words/counted';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { HouseRuleView } from '@brackenfell/contract/house-rules';
import { usePickList } from '../controls/pick-list.ts';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { WaitingList } from '../release/waiting-list.tsx';
import { LETTERS } from '../session/switch-person.tsx';
import { useSession } from '../session/use-session.ts';
import { ConditionalChoices } from './conditional-choices.tsx';
import { useChooseRule, useHouseRules } from './use-house-rules.ts';

/** Where good practitioners disagree: each rule with its schools, and what the shop has chosen. */
export function HouseRulesPage() {
  const rules = useHouseRules();
  const { data: me } = useSession();
  const mayChoose = me?.role === 'supervisor';
  const [picked, pick] = useState(0);
  const choose = useChooseRule();
  const all = rules.data?.rules ?? [];
  const rule = all[Math.min(picked, all.length - 1)];
  const list = usePickList({ label: 'House rules', row: 'rule', count: all.length, picked, pick });
  const take = (school: string) => {
    if (rule && school !== rule.chosen) send({ params: { rule: rule.rule }, body: { school } }, rule.title);
  };
  const send = (request: Parameters<typeof choose.mutate>[0], title: string) => {
    // Each of two that were made at once is told, not the later alone.
    choose.mutateAsync(request).then(
      ({ judgedAgain, toldOtherwise, flagged }) =>
        toast(
          `${title} chosen. ${judgedAgain} open ${wordFor(judgedAgain, 'line')} judged again, ${toldOtherwise} told otherwise now; ${flagged} sold ${wordFor(flagged, 'line')} flagged.`,
        ),
      (error: unknown) => toast.error((error as Error).message),
    );
  };
  useKeys('Schools', [
    ...(mayChoose && rule
      ? rule.schools.map((school, i) => ({ press: LETTERS[i]!, does: school.says, run: () => take(school.id) }))
      : []),
  ]);
  if (!rules.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="House rules">
        {rules.error ? (
          <p role="alert" className="text-madder">
            {rules.error.message}
          </p>
        ) : (
          <p className="text-soft">Fetching the house rules …</p>
        )}
      </main>
    );
  return (
    <>
      <aside className="desk-list" aria-label="Rules">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">House rules</h1>
          <p className="text-soft">
            Where the trade disagrees, the shop chooses once. Every answer names the rule it used.
          </p>
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {all.map((one, i) => (
            <li
              key={one.rule}
              {...list.rowProps(i)}
              className={`cursor-pointer border-b border-hair px-3 py-1.5 ${one === rule ? 'bg-bracken-wash outline-2 -outline-offset-2 outline-bracken' : ''}`}
            >
              <b className="font-semibold">{one.title}</b>
              <span className="block text-soft">{one.schools.find(({ id }) => id === one.chosen)?.says}</span>
            </li>
          ))}
        </ol>
      </aside>
      <main className="desk-main" aria-label="House rules">
        <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="The rule and what waits">
          {rule && (
            <RuleDetail rule={rule} mayChoose={mayChoose} onChoose={take}>
              <ConditionalChoices
                key={`${rule.rule} ${rule.conditional.length}`}
                rule={rule}
                mayChoose={mayChoose}
                onChoose={(condition, school) =>
                  send({ params: { rule: rule.rule, condition }, body: { school } }, rule.title)
                }
              />
            </RuleDetail>
          )}
          {mayChoose && <WaitingList />}
        </div>
      </main>
    </>
  );
}

interface RuleDetailProps {
  readonly rule: HouseRuleView;
  readonly mayChoose: boolean;
  readonly onChoose: (school: string) => void;
  readonly children: React.ReactNode;
}

function RuleDetail({ rule, mayChoose, onChoose, children }: RuleDetailProps) {
  return (
    <section className="border-b border-line p-4" aria-label={rule.title}>
      <h2 className="text-head font-semibold">{rule.title}</h2>
      <p className="pb-2 text-lead">{rule.asks}</p>
      <ul className="grid max-w-3xl gap-2">
        {rule.schools.map((school, i) => {
          const chosen = school.id === rule.chosen;
          return (
            <li
              key={school.id}
              className={`grid grid-cols-[2rem_1fr] border p-2 ${chosen ? 'border-bracken bg-bracken-wash' : 'border-hair'}`}
            >
              <span className="pt-0.5">{chosen && <Mark kind="match" label="Chosen" rem={1} />}</span>
              <div>
                <p className="flex items-baseline gap-2">
                  <b className="font-semibold">{school.says}</b>
                  {chosen ? (
                    <span className="text-soft">chosen</span>
                  ) : mayChoose ? (
                    <button type="button" className="ml-auto underline" onClick={() => onChoose(school.id)}>
                      <Key>{LETTERS[i]}</Key> choose
                    </button>
                  ) : null}
                </p>
                <p>{school.argument}</p>
                <p className="text-slate">{school.consequence}</p>
              </div>
            </li>
          );
        })}
      </ul>
      <p className="pt-2 text-soft">
        {rule.by && rule.at
          ? `Chosen by ${rule.by}, ${printMoment(rule.at)}.`
          : 'Nobody has chosen yet: the shop works by the first.'}{' '}
        {!mayChoose && 'A supervisor chooses.'}
      </p>
      {children}
    </section>
  );
}
