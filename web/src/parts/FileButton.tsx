import { useRef } from 'react';
import { Button, type Look } from './Button';

/** Opens the system's own dialog for one file; the same file can be chosen again. */
export function FileButton({
  label,
  accept,
  look,
  disabled,
  take,
  children,
}: {
  /** What the file is, for readers. */
  label: string;
  accept?: string;
  look?: Look;
  disabled?: boolean;
  take: (file: File) => void;
  children: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        look={look}
        disabled={disabled}
        className="justify-self-start"
        onClick={() => input.current?.click()}
      >
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) take(file);
        }}
      />
    </>
  );
}
