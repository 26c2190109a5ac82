/** The shape of something that is on its way, so that nothing jumps when it arrives. */
export function Skeleton({ className }: { className: string }) {
  return (
    <span
      aria-hidden
      className={`block animate-pulse rounded-sm bg-hairline/70 motion-reduce:animate-none ${className}`}
    />
  );
}
