import type { ReadingFit } from '../../../core';
import { say } from '../../../text/en/say/calibrate';

const [WIDTH, HEIGHT] = [150, 30];
/** Errors to the top and to the bottom. */
const REACH = 3;

/** What is left of a sensor's samples over the drive's time, in errors: above the line it read more than is predicted now. */
export function ResidualLine({ fits }: { readonly fits: readonly ReadingFit[] }) {
  const points = fits.flatMap(({ reading: { look }, apart }) =>
    look.kind === 'sensor' ? [{ time: look.time, left: -apart }] : [],
  );
  const end = Math.max(1, ...points.map(({ time }) => time));
  const rms = Math.sqrt(points.reduce((sum, { left }) => sum + left * left, 0) / Math.max(1, points.length));
  const y = (left: number) =>
    HEIGHT / 2 - (Math.max(-REACH, Math.min(REACH, left)) / REACH) * (HEIGHT / 2 - 2);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-0.5 block h-[30px] w-[150px]"
      role="img"
      aria-label={say.leftOverTime(rms.toFixed(1))}
    >
      <line x1="0" x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--rule)" />
      {points.map(({ time, left }) => (
        <circle key={time} cx={(WIDTH * time) / end} cy={y(left)} r="1.6" fill="var(--front)" />
      ))}
    </svg>
  );
}
