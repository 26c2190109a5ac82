/** A band as a hairline with its ends marked. */
export function Hairline({
  from,
  to,
  y,
  colour = 'var(--soft)',
}: {
  from: number;
  to: number;
  y: number;
  colour?: string;
}) {
  return (
    <path
      d={`M${from} ${y}H${to}M${from} ${y - 6}v12M${to} ${y - 6}v12`}
      stroke={colour}
      fill="none"
    />
  );
}
