const isTickBox = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.type === 'checkbox';

/** In a field characters are text; in an open choice, or on one, they go to what begins with them. A box to tick takes none. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  !isTickBox(target) &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA)$/.test(target.tagName) ||
    target.closest('[role="combobox"], [data-choice]') !== null);

/** Enter and Space on a focused control are that control's own; with Ctrl they are a command. */
export const isOfControl = ({ key, target, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): boolean =>
  /^(Enter| )$/.test(key) &&
  !(ctrlKey || metaKey || altKey || shiftKey) &&
  target instanceof HTMLElement &&
  (isTickBox(target) || /^(BUTTON|A)$/.test(target.tagName));

type TextField = HTMLInputElement | HTMLTextAreaElement;

/** The field of text that has the focus. */
export function fieldInHand(): TextField | undefined {
  const on = document.activeElement;
  const isField = on instanceof HTMLTextAreaElement || (on instanceof HTMLInputElement && isTyping(on));
  return isField ? on : undefined;
}

const ours = new WeakSet<Event>();

/** Whether a key press is one that `typeInto` makes, for a key that was watched when it was pressed. */
export const isOurs = (event: Event): boolean => ours.has(event);

/** Types a key into a field as a person would: a character at its cursor, Enter as its Enter. */
export function typeInto(field: TextField, key: string): void {
  const press = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
  ours.add(press);
  const goesOn = field.dispatchEvent(press);
  if (!goesOn) return;
  if (key.length === 1) {
    field.setRangeText(key, field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end');
    field.dispatchEvent(new Event('input', { bubbles: true }));
  } else if (field instanceof HTMLInputElement) field.form?.requestSubmit();
}

/** Takes what a scanner typed at the end of a field out of it again, as if a person had deleted it. */
export function takeOut(field: HTMLInputElement, code: string): void {
  if (code === '' || !field.value.endsWith(code)) return;
  field.setRangeText('', field.value.length - code.length, field.value.length, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
