import { type Car, VANES } from '../../../model';
import { say } from '../../../text/en/say/prepare';

type Rotor = Car['front']['rotor'];
const [SIZE, CENTRE] = [132, 66];
/** How far round a curved vane lies from its inner to its outer end, degrees. */
const SWEPT = 32;

/** A point at a radius, 0 to 1, and an angle, degrees, of the drawing. */
function at(radius: number, angle: number): string {
  const a = (angle * Math.PI) / 180;
  return `${(CENTRE + 60 * radius * Math.cos(a)).toFixed(1)} ${(CENTRE + 60 * radius * Math.sin(a)).toFixed(1)}`;
}

/**
 * Vanes of a rotor seen from outside at each side of the car, which drives to the left on the drawing's left and to the right
 * on its right: the outer ends lag behind the inner ones.
 */
function Side({ rotor, side }: { readonly rotor: Rotor; readonly side: 'left' | 'right' }) {
  const inner = rotor.innerDiameterMm / rotor.outerDiameterMm;
  const count = Math.min(36, rotor.vaneCount);
  // Seen from outside, a wheel on the left turns against the clock, one on the right with it.
  const turns = side === 'left' ? -1 : 1;
  const lag = -turns * SWEPT;
  return (
    <figure className="text-center">
      <svg width={SIZE} height={SIZE} role="img" aria-label={say.vanesOf(side)}>
        <circle cx={CENTRE} cy={CENTRE} r={60} fill="var(--sunk)" stroke="var(--dim)" />
        <circle cx={CENTRE} cy={CENTRE} r={60 * inner} fill="var(--panel)" stroke="var(--dim)" />
        {Array.from({ length: count }, (_, k) => {
          const angle = (360 * k) / count;
          const mid = at((inner + 0.97) / 2, angle + 0.2 * lag);
          return (
            <path
              key={angle}
              d={`M ${at(inner + 0.03, angle)} Q ${mid} ${at(0.97, angle + lag)}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          );
        })}
        <path
          d={turns < 0 ? 'M 46 66 A 20 20 0 0 1 86 66' : 'M 86 66 A 20 20 0 0 0 46 66'}
          fill="none"
          stroke="var(--act)"
          strokeWidth={2}
          markerStart={`url(#turn-${side})`}
        />
        <defs>
          <marker
            id={`turn-${side}`}
            viewBox="0 0 8 8"
            refX="4"
            refY="4"
            markerWidth="6"
            markerHeight="6"
            orient="auto-start-reverse"
          >
            <path d="M 0 0 L 8 4 L 0 8 Z" fill="var(--act)" />
          </marker>
        </defs>
      </svg>
      <figcaption className="caption">{side} wheel, from outside</figcaption>
    </figure>
  );
}

/** Which hand of a directional rotor belongs where. */
export function VaneDrawing({ rotor }: { readonly rotor: Rotor }) {
  return (
    <div className="mt-1 flex flex-wrap items-center gap-4">
      <Side rotor={rotor} side="left" />
      <Side rotor={rotor} side="right" />
      <p className="max-w-[46ch] text-dim">{say.vanesLag(VANES[rotor.vaneType].name.toLowerCase())}</p>
    </div>
  );
}
