import type { ReactNode } from 'react';

/** How a screen comes to its numbers, for those who ask. */
export function HowWorkedOut({ children }: { children: ReactNode }) {
  return (
    <details className="text-sm text-soft">
      <summary className="min-h-11 content-center underline decoration-hairline underline-offset-4">
        How is this worked out?
      </summary>
      <p className="max-w-prose pb-2">{children}</p>
    </details>
  );
}
