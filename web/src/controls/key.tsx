/** A key as printed beside the action it does. */
export function Key({ children }: { children: React.ReactNode }) {
  return (
    <kbd className="num border-b border-line px-0.5 text-xs font-medium text-soft" aria-hidden="true">
      {children}
    </kbd>
  );
}
