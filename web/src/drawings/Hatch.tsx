/** Hatching stands for what is estimated, everywhere. */
export function HatchPattern({ id, colour }: { id: string; colour: string }) {
  return (
    <pattern
      id={id}
      width="7"
      height="7"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="7" stroke={colour} strokeWidth="1.6" strokeOpacity="0.45" />
    </pattern>
  );
}
