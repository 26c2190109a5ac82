import { RadioGroup } from 'radix-ui';
import { useId } from 'react';

/** One of a few, none of them chosen for the keeper. */
export function OneOf<T extends string>({
  legend,
  value,
  options,
  onChange,
}: {
  legend: string;
  value: T | null;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
}) {
  const id = useId();
  return (
    <div>
      <p id={id} className="pb-1 text-sm text-soft">
        {legend}
        {value === null && <strong className="text-ink"> Choose one.</strong>}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value ?? ''}
        onValueChange={(v) => onChange(v as T)}
        className="flex flex-wrap gap-2"
      >
        {options.map((o) => (
          <RadioGroup.Item
            key={o.value}
            value={o.value}
            className="min-h-11 rounded-sm border border-ink/40 px-4 data-[state=checked]:border-2 data-[state=checked]:border-accent data-[state=checked]:font-semibold"
          >
            {o.label}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
