import { Dialog as Primitive } from 'radix-ui';

/** A sheet laid over the desk. Escape closes it and focus returns to where it was. */
export function Dialog({
  title,
  about,
  onClose,
  children,
  wide = false,
}: {
  title: string;
  about?: string;
  onClose: () => void;
  children: React.ReactNode;
  wide?: boolean;
}) {
  return (
    <Primitive.Root open onOpenChange={(open) => !open && onClose()}>
      <Primitive.Portal>
        <Primitive.Overlay className="fixed inset-0 z-20 bg-veil" />
        <Primitive.Content
          tabIndex={-1}
          onOpenAutoFocus={(event) => {
            // A field that asks for it has the focus already; otherwise the sheet, so that Space and Enter close nothing.
            const sheet = event.currentTarget as HTMLElement;
            event.preventDefault();
            if (!sheet.contains(document.activeElement)) sheet.focus();
          }}
          className={`fixed top-16 left-1/2 z-30 flex max-h-[calc(100vh-6rem)] -translate-x-1/2 flex-col border border-line bg-slip text-peat outline-none ${wide ? 'w-[min(52rem,calc(100vw-3rem))]' : 'w-[min(30rem,calc(100vw-3rem))]'}`}
          {...(about ? {} : { 'aria-describedby': undefined })}
        >
          <div className="flex items-baseline justify-between border-b border-line px-4 py-2">
            <Primitive.Title className="text-lead font-semibold">{title}</Primitive.Title>
            <Primitive.Close className="button-plain">Close</Primitive.Close>
          </div>
          {about && <Primitive.Description className="px-4 pt-2 text-soft">{about}</Primitive.Description>}
          <div className="min-h-0 overflow-auto p-4">{children}</div>
        </Primitive.Content>
      </Primitive.Portal>
    </Primitive.Root>
  );
}
