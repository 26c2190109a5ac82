import { createContext, useContext, useState, type ReactNode } from 'react';
import { Playhead, type PlayheadFrame } from '../../../drawings/Playhead';

type Set = (ms: number | undefined) => void;
const At = createContext<number | undefined>(undefined);
const SetAt = createContext<Set>(() => undefined);

/** Keeps where the playhead was brought. What does not show it is not drawn anew when it moves. */
export function PlayheadKept({ children }: { children: ReactNode }) {
  const [at, setAt] = useState<number>();
  return (
    <SetAt value={setAt}>
      <At value={at}>{children}</At>
    </SetAt>
  );
}

/** Brings it to a moment, in milliseconds; to undefined, to where it is at first. */
export const useBringPlayhead = () => useContext(SetAt);

/** Where it is, and where it is at first. */
export const usePlayhead = (first: number) => useContext(At) ?? first;

export function MovingPlayhead({ frame, first }: { frame: PlayheadFrame; first: number }) {
  return <Playhead {...frame} at={usePlayhead(first)} onAt={useBringPlayhead()} />;
}
