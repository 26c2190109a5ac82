import { useState, type ReactNode } from 'react';
import { Button, type Look } from './Button';
import { Sheet } from './Sheet';

/** A button that lays a form beside the page; the form closes it once it is sent. */
export function OpensSheet({
  says,
  about,
  look,
  children,
}: {
  /** On the button, and above the form. */
  says: string;
  about: string;
  look?: Look;
  children: (close: () => void) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look={look} className="justify-self-start" onClick={() => setOpen(true)}>
        {says}
      </Button>
      <Sheet open={open} onOpenChange={setOpen} title={says} about={about}>
        {children(() => setOpen(false))}
      </Sheet>
    </>
  );
}
