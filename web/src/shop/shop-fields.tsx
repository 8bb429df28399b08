import { useId, useState } from 'react';
import { Controller, useFormContext } from 'react-hook-form';
import type { z } from 'zod';
import type { ShopDetails } from '@brackenfell/contract/shop';
import { CURRENCIES, LOCALES, type Currency, type Locale } from '@brackenfell/core/words/money';
import { TextField } from '../controls/body-form.tsx';

type Details = z.input<typeof ShopDetails>;

const ZONES = Intl.supportedValuesOf('timeZone');
const inEnglish = (kind: 'currency' | 'language') => new Intl.DisplayNames('en', { type: kind });
const UNIT_WORDS = { metric: 'metric', imperial: 'imperial', both: 'both' } as const;

interface ChoiceFieldProps extends React.ComponentProps<'select'> {
  readonly label: string;
  readonly options: readonly (readonly [value: string, says: string])[];
}

function ChoiceField({ label, options, ...select }: ChoiceFieldProps) {
  return (
    <label className="grid gap-1">
      <span className="text-slate">{label}</span>
      <select className="field" data-choice {...select}>
        {options.map(([value, says]) => (
          <option key={value} value={value}>
            {says}
          </option>
        ))}
      </select>
    </label>
  );
}

/** A rate is typed per cent, with a point or a comma, and kept in basis points; what is no rate is refused with the form. */
function TaxField() {
  const { control } = useFormContext<Details>();
  return (
    <Controller
      control={control}
      name="taxBasisPoints"
      render={({ field, fieldState }) => (
        <TextField
          label="Tax on prices, %"
          className="num"
          inputMode="decimal"
          defaultValue={field.value / 100}
          ref={field.ref}
          name={field.name}
          onBlur={field.onBlur}
          error={fieldState.error && { message: 'A rate from 0 to 50, such as 20 or 7.5.' }}
          onChange={({ target }) => {
            const typed = target.value.trim().replace(',', '.');
            field.onChange(/^\d+(\.\d{1,2})?$/.test(typed) ? Math.round(Number(typed) * 100) : Number.NaN);
          }}
        />
      )}
    />
  );
}

/** A zone while it is none yet is the machine's own. */
function zoneOf(typed: string | null): string | null {
  if (typed === null) return null;
  try {
    new Intl.DateTimeFormat('en', { timeZone: typed });
    return typed;
  } catch {
    return null;
  }
}

/** How it will look, before anything is settled. */
function Sample({ currency, locale, timeZone }: { currency: Currency; locale: Locale; timeZone: string | null }) {
  const price = new Intl.NumberFormat(locale, { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  const moment = new Intl.DateTimeFormat(locale, {
    dateStyle: 'medium',
    timeStyle: 'short',
    ...(timeZone === null ? {} : { timeZone }),
  });
  const [now] = useState(() => new Date());
  return (
    <p className="text-soft" aria-live="polite">
      On paper: <span className="num">{price.format(1234.5)}</span>, and now it is{' '}
      <span className="num">{moment.format(now)}</span>
      {timeZone === null ? ' at this till' : ' there'}.
    </p>
  );
}

/** What a shop is, as a form's fields. */
export function ShopFields() {
  const { register, watch, formState } = useFormContext<Details>();
  const { errors } = formState;
  const [currency, locale, timeZone] = watch(['currency', 'locale', 'timeZone']);
  const zones = useId();
  return (
    <div className="grid content-start gap-2">
      <TextField label="What the shop is called" error={errors.name} {...register('name')} />
      <TextField label="Its address, as it stands on paper" error={errors.address} {...register('address')} />
      <div className="grid grid-cols-2 gap-2">
        <ChoiceField
          label="Prices are in"
          options={CURRENCIES.map((code) => [code, `${code}, ${inEnglish('currency').of(code)!}`])}
          {...register('currency')}
        />
        <TaxField />
        <ChoiceField
          label="Figures and dates as in"
          options={LOCALES.map((code) => [code, inEnglish('language').of(code)!])}
          {...register('locale')}
        />
        <ChoiceField
          label="Units, until a person chooses"
          options={Object.entries(UNIT_WORDS)}
          {...register('units')}
        />
      </div>
      <TextField
        label="Time zone; left empty, the machine’s own"
        list={zones}
        spellCheck={false}
        error={errors.timeZone}
        {...register('timeZone', { setValueAs: (zone: string | null) => (zone?.trim() ? zone.trim() : null) })}
      />
      <datalist id={zones}>
        {ZONES.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      <Sample currency={currency} locale={locale} timeZone={zoneOf(timeZone)} />
    </div>
  );
}
