/** A key as printed beside the action it does. */
export function Key({ children }: { children: React.ReactNode }) {
  return (
    <kbd className="num key" aria-hidden="true">
      {children}
    </kbd>
  );
}
