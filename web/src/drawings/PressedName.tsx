/** A name that may be pressed. */
export function PressedName({
  x,
  y,
  anchor = 'start',
  name,
  shown,
  says,
  onPress,
}: {
  x: number;
  y: number;
  anchor?: 'start' | 'middle';
  name: string;
  shown: string;
  says: string;
  onPress?: () => void;
}) {
  const text = (
    <text x={x} y={y} textAnchor={anchor} className="fill-ink text-sm">
      {shown}
      {shown !== name && <title>{name}</title>}
    </text>
  );
  if (!onPress) return text;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={says}
      className="cursor-pointer underline-offset-4 hover:underline"
      onClick={onPress}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        onPress();
      }}
    >
      {text}
    </g>
  );
}
