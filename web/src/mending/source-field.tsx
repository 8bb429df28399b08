import { TextField } from '../controls/body-form.tsx';

/** Where what is recorded was read. */
export function SourceField({
  value,
  onChange,
}: {
  readonly value: string;
  readonly onChange: (source: string) => void;
}) {
  return (
    <TextField
      label="where: sheet, list, page"
      maxLength={60}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
