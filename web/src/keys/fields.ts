import { tabbable } from 'tabbable';

const isTickBox = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.type === 'checkbox';

/** In a field characters are text; in an open choice, or on one, they go to what begins with them. A box to tick takes none. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  !isTickBox(target) &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA)$/.test(target.tagName) ||
    target.closest('[role="combobox"], [data-choice]') !== null);

const isControl = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement && (isTickBox(target) || /^(BUTTON|A)$/.test(target.tagName));

/** Enter and Space on a focused control are that control's own; with Ctrl they are a command. */
export const isOfControl = ({ key, target, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): boolean =>
  /^(Enter| )$/.test(key) && !(ctrlKey || metaKey || altKey || shiftKey) && isControl(target);

type TextField = HTMLInputElement | HTMLTextAreaElement;

/** The field of text that has the focus. */
function fieldInHand(): TextField | undefined {
  const on = document.activeElement;
  // A day or a slider holds no text: the browser lets nobody but the hand write into it.
  const isField =
    on instanceof HTMLTextAreaElement || (on instanceof HTMLInputElement && isTyping(on) && on.selectionStart !== null);
  return isField ? on : undefined;
}

const ours = new WeakSet<Event>();

/** Whether a key press is one that `strike` makes, for a key that was watched when it was pressed. */
export const isOurs = (event: Event): boolean => ours.has(event);

/** A key as it was pressed. */
export interface Struck {
  readonly key: string;
  readonly shiftKey: boolean;
}

/** Keys that are no text and act on what has the hand: they have to come after the text that was typed before them. */
export const isOfFields = (key: string): boolean => /^(Escape|Tab|Backspace|ArrowUp|ArrowDown)$/.test(key);

/** Whether a key is one of the control's that has the hand. */
export const isOfControlInHand = ({ key, shiftKey }: Struck): boolean =>
  /^(Enter| )$/.test(key) && !shiftKey && isControl(document.activeElement);

/** Strikes a key as a person would, at what has the hand: whoever listens hears it, and a field does what fields do. */
export function strike({ key, shiftKey }: Struck): void {
  const at = document.activeElement ?? document.body;
  const press = new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true });
  ours.add(press);
  if (!at.dispatchEvent(press)) return;
  const field = fieldInHand();
  if (key === 'Tab') stepOn(at, shiftKey);
  else if (isOfControlInHand({ key, shiftKey })) workControl(at as HTMLElement, key);
  else if (field && key === 'Backspace') {
    const end = field.selectionEnd ?? 0;
    const start = field.selectionStart ?? 0;
    writeInto(field, '', start === end ? Math.max(0, start - 1) : start, end);
  } else if (field && key.length === 1) writeInto(field, key, field.selectionStart ?? 0, field.selectionEnd ?? 0);
  else if (key === 'Enter' && document.activeElement instanceof HTMLInputElement)
    document.activeElement.form?.requestSubmit();
}

/** As the browser does: a button is pressed by both keys, a link followed by Enter, a box ticked by Space. */
function workControl(control: HTMLElement, key: string): void {
  if (control instanceof HTMLInputElement && key === 'Enter') control.form?.requestSubmit();
  else if (control.tagName !== 'A' || key === 'Enter') control.click();
}

/** The hand goes to what follows, round in a sheet. */
function stepOn(from: Element, isBack: boolean): void {
  const all = tabbable(from.closest('[role="dialog"]') ?? document.body);
  const at = all.findIndex((one) => one === from);
  all.at((isBack ? (at < 0 ? 0 : at) - 1 : at + 1) % all.length)?.focus();
}

function writeInto(field: TextField, text: string, start: number, end: number): void {
  field.setRangeText(text, start, end, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** Takes what a scanner typed at the end of a field out of it again, as if a person had deleted it. */
export function takeOut(field: HTMLInputElement, code: string): void {
  if (code === '' || !field.value.endsWith(code)) return;
  writeInto(field, '', field.value.length - code.length, field.value.length);
}
