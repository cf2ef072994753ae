import { Progress } from 'radix-ui';

/** How much of something is done. */
export function ProgressBar({
  label,
  value,
  max,
  className = 'w-[200px]',
}: {
  label: string;
  value: number;
  max: number;
  className?: string;
}) {
  const share = max > 0 ? Math.min(1, value / max) : 0;
  return (
    <Progress.Root
      aria-label={label}
      value={Math.min(value, max)}
      max={max}
      className={`inline-block h-2 overflow-hidden rounded bg-sunk ring-1 ring-rule ${className}`}
    >
      <Progress.Indicator className="block h-full bg-act" style={{ width: `${100 * share}%` }} />
    </Progress.Root>
  );
}
