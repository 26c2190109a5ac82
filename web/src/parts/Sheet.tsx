import { Dialog } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

/** A sheet of paper laid over the page: from below on a phone, along the side where there is room. */
export function Sheet({
  open,
  onOpenChange,
  title,
  about,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about: string;
  children: ReactNode;
}) {
  const opener = useRef<Element>(null);
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/30" />
        <Dialog.Content
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            const back = opener.current?.isConnected
              ? opener.current
              : document.querySelector('main');
            if (back instanceof HTMLElement) back.focus();
          }}
          className="fixed inset-x-0 bottom-0 z-30 max-h-[90dvh] overflow-y-auto border bg-paper p-5 md:inset-y-0 md:left-auto md:max-h-none md:w-[36rem] md:max-w-[90vw] md:p-8"
        >
          <div className="flex items-start justify-between gap-6">
            <Dialog.Title className="text-2xl font-bold">{title}</Dialog.Title>
            <Dialog.Close className="min-h-11 px-2 text-soft underline underline-offset-4 hover:text-ink">
              close
            </Dialog.Close>
          </div>
          <Dialog.Description className="pb-4 text-soft">{about}</Dialog.Description>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
