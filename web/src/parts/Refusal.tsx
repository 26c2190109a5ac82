import { useEffect, useRef, useState } from 'react';

/** Why nothing was saved, beneath a form: brought into sight, and gone as soon as something in the form is changed. */
export function Refusal({ message, className = '' }: { message?: string; className?: string }) {
  const [mended, setMended] = useState<string>();
  const ref = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    const here = ref.current;
    if (!message || !here) return undefined;
    here.scrollIntoView({ block: 'nearest' });
    const around = here.closest('form, [role="dialog"], section, main');
    const mend = () => setMended(message);
    around?.addEventListener('input', mend);
    return () => {
      around?.removeEventListener('input', mend);
      setMended(undefined);
    };
  }, [message]);
  return message && mended !== message ? (
    <p ref={ref} role="alert" className={`font-semibold ${className}`}>
      ✕ {message}
    </p>
  ) : null;
}
