interface SumPageProps {
  readonly title: string;
  readonly about: string;
  /** What is typed. */
  readonly fields: React.ReactNode;
  /** What stands below it and is a form of its own. */
  readonly beside?: React.ReactNode;
  /** Of the answer, to a screen reader. */
  readonly answerLabel: string;
  readonly children: React.ReactNode;
}

/** A sum: what is typed at the left, what comes of it at the right. */
export function SumPage({ title, about, fields, beside, answerLabel, children }: SumPageProps) {
  return (
    <>
      <aside className="desk-list" aria-label="What is reckoned with">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">{title}</h1>
          <p className="text-soft">{about}</p>
        </div>
        <div className="min-h-0 flex-1 overflow-auto">
          <form className="grid content-start gap-1.5 p-3" onSubmit={(event) => event.preventDefault()}>
            {fields}
          </form>
          {beside}
        </div>
      </aside>
      <main className="desk-main" aria-label={title}>
        <div
          className="grid min-h-0 flex-1 content-start gap-3 overflow-auto p-4 *:max-w-3xl"
          tabIndex={0}
          role="region"
          aria-label={answerLabel}
        >
          {children}
        </div>
      </main>
    </>
  );
}
