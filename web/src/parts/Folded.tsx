import { useState, type ReactNode } from 'react';

/** Folded until somebody opens it or something in it needs a look; then it stays as it is, whatever is typed in it. */
export function Folded({
  title,
  needed,
  children,
}: {
  title: string;
  needed: boolean;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(needed);
  if (needed && !open) setOpen(true);
  return (
    <details
      className="border-t border-hairline"
      open={open}
      onToggle={(e) => setOpen(e.currentTarget.open)}
    >
      <summary className="min-h-11 cursor-pointer content-center font-semibold">{title}</summary>
      {children}
    </details>
  );
}
