import { useState } from 'react';
import { mayChooseOnSlip } from '@brackenfell/core/slip/who-may';
import type { HouseRuleView } from '@brackenfell/contract/house-rules';
import type { Slip } from '@brackenfell/contract/slip';
import { chooseOnSlip } from '@brackenfell/contract/slip-work';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { OneOf } from '../controls/one-of.tsx';
import { useSession } from '../session/use-session.ts';
import { printDocket } from '../counter/print-docket.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useHouseRules } from './use-house-rules.ts';

interface SlipRulesDialogProps {
  readonly slip: Slip | undefined;
  readonly onClose: () => void;
}

/** The house rules as they hold on one slip: each can be settled otherwise here, with its reason, for this slip alone. */
export function SlipRulesDialog({ slip, onClose }: SlipRulesDialogProps) {
  const rules = useHouseRules();
  const [picked, pick] = useState<HouseRuleView>();
  return (
    <Dialog
      title={slip ? `House rules on slip ${printDocket(slip.docket)}` : 'House rules'}
      about={
        slip
          ? 'Settled otherwise here, a rule holds for this slip alone. A maker’s own instruction stands above it.'
          : 'A rule is settled otherwise on a slip: begin one first.'
      }
      onClose={onClose}
      wide
    >
      {rules.error && (
        <p role="alert" className="text-madder">
          {rules.error.message}
        </p>
      )}
      <ul className="grid grid-cols-2 gap-x-6">
        {rules.data?.rules.map((rule) => {
          const own = slip?.rules.find((one) => one.rule === rule.rule);
          return (
            <li key={rule.rule} className="border-t border-hair py-1">
              <button
                type="button"
                className="grid w-full text-left"
                disabled={!slip}
                aria-expanded={picked?.rule === rule.rule}
                onClick={() => pick(rule)}
              >
                <b className="font-semibold">{rule.title}</b>
                {own ? (
                  <span>
                    {own.says}{' '}
                    <span className="text-soft">
                      on this slip ({own.by}): {own.reason}
                    </span>
                  </span>
                ) : (
                  <span className="text-soft">{rule.schools.find(({ id }) => id === rule.chosen)?.says}</span>
                )}
              </button>
              {slip && picked?.rule === rule.rule && (
                <Otherwise key={rule.rule} slip={slip} rule={rule} onDone={() => pick(undefined)} />
              )}
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

/** The choice as the form holds it; the slip's version is known when it is sent. */
const Settled = chooseOnSlip.body.omit({ version: true });

interface OtherwiseProps {
  readonly slip: Slip;
  readonly rule: HouseRuleView;
  readonly onDone: () => void;
}

function Otherwise({ slip, rule, onDone }: OtherwiseProps) {
  const write = useSlipWrite();
  const { data: me } = useSession();
  const own = slip.rules.find((one) => one.rule === rule.rule);
  const { register, handleSubmit, setValue, watch, formState } = useBodyForm(Settled, {
    school: own?.school ?? rule.schools.find(({ id }) => id !== rule.chosen)!.id,
    reason: '',
  });
  if (!me || !mayChooseOnSlip(rule, me))
    return <p className="text-slate">This rule decides what may be sold: a supervisor settles it on the slip.</p>;
  const settle = (chosen: string | null, why: string) => {
    write.mutate(
      slipCall(
        'chooseOnSlip',
        { params: { slipId: slip.slipId, rule: rule.rule }, body: { school: chosen, reason: why } },
        `${rule.title} on this slip`,
      ),
      { onSuccess: onDone },
    );
  };
  return (
    <form
      className="my-1 grid gap-1 border border-bracken bg-bracken-wash p-2"
      onSubmit={(event) => void handleSubmit(({ school, reason }) => settle(school, reason))(event)}
      noValidate
    >
      <OneOf
        label={rule.asks}
        value={watch('school') ?? ''}
        options={rule.schools.map(({ id, says }) => ({ value: id, says }))}
        onChange={(school) => setValue('school', school)}
        autoFocus
      />
      <TextField
        label="Why, for this customer"
        error={formState.errors.reason}
        maxLength={200}
        {...register('reason')}
      />
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="button-act">
          Settle it so on this slip
        </button>
        {own && (
          <button type="button" className="button-plain" onClick={() => settle(null, 'as the shop does')}>
            As the shop does
          </button>
        )}
      </p>
    </form>
  );
}
