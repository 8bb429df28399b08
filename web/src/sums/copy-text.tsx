import { toast } from '../controls/toast.ts';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';

/** A sum's answer as lines of text, for a message or a note: copied with the address that answers it again. */
export function CopyText({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  const copy = () => {
    const text = [title, ...lines, window.location.href].join('\n');
    navigator.clipboard.writeText(text).then(
      () => toast('Copied as text.'),
      () => toast.error('This browser does not let it be copied: mark it and copy by hand.'),
    );
  };
  useKeys('Sum', [{ press: 'y', does: 'Copy the answer as text', run: copy }], { active: lines.length > 0 });
  return (
    <button type="button" className="button-plain justify-self-start" disabled={lines.length === 0} onClick={copy}>
      Copy as text <Key>y</Key>
    </button>
  );
}
