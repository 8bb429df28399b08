import { Dialog } from '../controls/dialog.tsx';
import { changeSettings, useSettings, type Settings } from '../settings/settings.ts';
import { useKeyMap, type KeyBinding } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';

const CHOICES: readonly {
  label: string;
  name: keyof Settings;
  options: readonly (readonly [Settings[keyof Settings], string])[];
}[] = [
  {
    label: 'Theme',
    name: 'theme',
    options: [
      ['system', 'As the system'],
      ['chalk', 'Chalk'],
      ['night', 'Night shift'],
    ],
  },
  {
    label: 'Text size',
    name: 'textSize',
    options: [
      [100, '100%'],
      [125, '125%'],
      [150, '150%'],
    ],
  },
  {
    label: 'Tray rows',
    name: 'dense',
    options: [
      [false, '24 px'],
      [true, 'Dense'],
    ],
  },
  {
    label: 'Buttons and rows',
    name: 'touch',
    options: [
      [false, 'For a mouse'],
      [true, 'For fingers'],
    ],
  },
  {
    label: 'Units',
    name: 'units',
    options: [
      ['metric', 'Metric'],
      ['imperial', 'Imperial'],
      ['both', 'Both'],
    ],
  },
  {
    label: 'Single-key commands',
    name: 'singleKeys',
    options: [
      [true, 'On'],
      [false, 'Off'],
    ],
  },
];

const AFTER_CLOSE_MS = 50;

/** Not merely the same sign, typed with Shift on this keyboard. */
const isOwnKey = ({ press, printed = press }: KeyBinding): boolean =>
  !press.startsWith('Shift+') || printed.startsWith('Shift');

/** The keys that act on this screen, and how this reader likes to read. */
export function KeyHelp({ onClose }: { onClose: () => void }) {
  const groups = useKeyMap().filter((group) => group.bindings.length > 0 && !group.inDialog);
  const settings = useSettings();
  const { go } = useCounter();
  return (
    <Dialog
      title="Keys and actions of this screen"
      about="Each line is a button that does what its key does."
      onClose={onClose}
      wide
    >
      <div className="grid gap-6 sm:grid-cols-[1fr_18rem]">
        <div className="columns-2 gap-6">
          {groups.map((group, i) => (
            <section key={`${group.title} ${i}`} className="mb-4 break-inside-avoid">
              <h3 className="pb-1 font-semibold text-slate">{group.title}</h3>
              <ul className="grid gap-y-0.5">
                {group
                  .current()
                  .filter(isOwnKey)
                  .map((b) => (
                    <li key={b.press}>
                      <button
                        type="button"
                        className="grid min-h-6 w-full grid-cols-[5.5rem_1fr] text-left hover:bg-bracken-wash"
                        onClick={() => {
                          onClose();
                          // After the closing sheet has given the focus back, or it would take what the action focused.
                          setTimeout(b.run, AFTER_CLOSE_MS);
                        }}
                      >
                        <span className="num">{b.printed ?? b.press}</span>
                        <span>{b.does}</span>
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
        </div>
        <section className="border-l border-hair pl-5">
          <button
            type="button"
            className="button-plain mb-4"
            onClick={() => {
              onClose();
              go('/help');
            }}
          >
            Getting started, and what marks mean
          </button>
          <h3 className="pb-1 font-semibold text-slate">Reading</h3>
          {CHOICES.map(({ label, name, options }) => (
            <fieldset key={name} className="pb-3">
              <legend className="pb-1">{label}</legend>
              <div className="flex flex-wrap gap-1">
                {options.map(([value, text]) => (
                  <label
                    key={text}
                    className={`flex min-h-6 items-center gap-1 border px-1.5 ${settings[name] === value ? 'border-bracken bg-bracken-wash' : 'border-hair'}`}
                  >
                    <input
                      type="radio"
                      name={name}
                      checked={settings[name] === value}
                      onChange={() => changeSettings({ [name]: value })}
                      className="accent-bracken"
                    />
                    {text}
                  </label>
                ))}
              </div>
            </fieldset>
          ))}
        </section>
      </div>
    </Dialog>
  );
}
