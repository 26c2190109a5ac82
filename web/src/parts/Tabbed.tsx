import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';

export interface Part<V extends string> {
  value: V;
  label: string;
  content: ReactNode;
}

/** One part of a screen at a time, chosen by name; only the open one is built. */
export function Tabbed<V extends string>({
  label,
  parts,
  open,
  onOpen,
}: {
  label: string;
  parts: readonly Part<V>[];
  open: V;
  onOpen: (value: V) => void;
}) {
  return (
    <Tabs.Root value={open} onValueChange={(value) => onOpen(value as V)}>
      <Tabs.List aria-label={label} className="flex flex-wrap gap-x-6 border-b">
        {parts.map((part) => (
          <Tabs.Trigger
            key={part.value}
            value={part.value}
            className="min-h-11 min-w-11 border-b-2 border-transparent text-soft data-[state=active]:border-accent data-[state=active]:text-ink"
          >
            {part.label}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {parts.map((part) => (
        <Tabs.Content key={part.value} value={part.value} className="pt-5">
          {part.content}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
