import { useId } from 'react';

/** A number chosen by dragging or by keys, with its value in words. */
export function Slider({
  label,
  value,
  min,
  max,
  step,
  shown,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  shown: string;
  onChange: (value: number) => void;
}) {
  const id = useId();
  return (
    <div className="grid grid-cols-[1fr_auto] items-baseline gap-x-4">
      <label htmlFor={id} className="text-sm text-soft">
        {label}
      </label>
      <output htmlFor={id} className="font-semibold">
        {shown}
      </output>
      <input
        id={id}
        type="range"
        className="col-span-2 h-11 w-full accent-accent"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={shown}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </div>
  );
}
