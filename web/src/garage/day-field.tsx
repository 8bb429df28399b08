interface DayFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (day: string) => void;
}

/** A day of the past, by the browser's own calendar or typed. */
export function DayField({ label, value, onChange }: DayFieldProps) {
  return (
    <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
      <span className="text-slate">{label}</span>
      <input type="date" className="field num" value={value} onChange={(event) => onChange(event.target.value)} />
    </label>
  );
}
