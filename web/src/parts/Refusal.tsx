/** Why nothing was saved, beneath a form. */
export function Refusal({ message, className = '' }: { message?: string; className?: string }) {
  return message ? (
    <p role="alert" className={`font-semibold ${className}`}>
      ✕ {message}
    </p>
  ) : null;
}
