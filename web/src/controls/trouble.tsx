/** What went wrong, said where it went wrong; nothing where nothing did. */
export const Trouble = ({ error, className = '' }: { readonly error: Error | null; readonly className?: string }) =>
  error && (
    <p role="alert" className={`text-madder ${className}`}>
      {error.message}
    </p>
  );
