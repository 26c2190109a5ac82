import type { ButtonHTMLAttributes } from 'react';

export type Look = 'main' | 'plain' | 'quiet';

const LOOKS: Record<Look, string> = {
  main: 'bg-accent text-on-accent font-semibold px-4 hover:opacity-90',
  plain: 'border border-ink/40 px-4 hover:border-ink',
  quiet: 'text-soft underline decoration-hairline underline-offset-4 hover:text-ink px-1',
};

export function buttonLook(look: Look): string {
  return `inline-flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-sm text-base disabled:opacity-50 ${LOOKS[look]}`;
}

export function Button({
  look = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type="button" className={`${buttonLook(look)} ${className}`} {...rest} />;
}
