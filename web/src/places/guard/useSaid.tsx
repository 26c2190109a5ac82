import { useState, type ReactNode } from 'react';
import { Button } from '../../parts/Button';

interface Said {
  words: string;
  undo?: () => void;
}

/** What a press did, in words beside it, with its undo. A notice at the foot would cover the next step on a phone. */
export function useSaid(): [ReactNode, (words: string, undo?: () => void) => void] {
  const [said, setSaid] = useState<Said | null>(null);
  const shown = (
    <p role="status" className="flex min-h-6 flex-wrap items-center gap-x-3 text-soft">
      {said?.words}
      {said?.undo && (
        <Button
          look="quiet"
          onClick={() => {
            said.undo?.();
            setSaid({ words: 'Undone.' });
          }}
        >
          Undo
        </Button>
      )}
    </p>
  );
  return [shown, (words, undo) => setSaid({ words, undo })];
}
