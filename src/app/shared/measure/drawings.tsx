import type { ReactNode } from 'react';

const Frame = ({ children }: { readonly children: ReactNode }) => (
  <svg
    viewBox="0 0 240 120"
    width="240"
    height="120"
    aria-hidden="true"
    className="block"
    fill="none"
    strokeWidth="1.6"
  >
    {children}
  </svg>
);
const ink = 'var(--ink)';
const dim = 'var(--ghost)';
const act = 'var(--act)';
const iron = 'color-mix(in oklch, var(--ghost) 55%, var(--panel))';

/** An arrow between two ticks: what is read. */
function Span({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) {
  const upright = x1 === x2;
  const tick = (x: number, y: number) => (upright ? `M${x - 6} ${y}H${x + 6}` : `M${x} ${y - 6}V${y + 6}`);
  return <path stroke={act} strokeWidth="2.2" d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`} />;
}

/** Over both cheeks at the edge, with the jaws past the lip. */
export const Thickness = () => (
  <Frame>
    <rect x="60" y="18" width="14" height="84" fill={iron} stroke={ink} />
    <rect x="92" y="18" width="14" height="84" fill={iron} stroke={ink} />
    <path stroke={ink} d="M74 30H92M74 52H92M74 74H92M74 96H92" />
    <path stroke={dim} strokeWidth="6" d="M150 48H106M150 48V78M54 78V30M54 78H150" />
    <Span x1={60} y1={112} x2={106} y2={112} />
    <path stroke={dim} d="M150 63H220" strokeWidth="10" />
  </Frame>
);

/** Across the friction ring, through the middle. */
export const Diameter = () => (
  <Frame>
    <circle cx="110" cy="60" r="50" fill={iron} stroke={ink} />
    <circle cx="110" cy="60" r="30" fill="var(--panel)" stroke={ink} />
    <circle cx="110" cy="60" r="9" stroke={ink} />
    <Span x1={60} y1={60} x2={160} y2={60} />
  </Frame>
);

/** Between the cheeks, at the edge. */
export const Gap = () => (
  <Frame>
    <rect x="70" y="20" width="18" height="80" fill={iron} stroke={ink} />
    <rect x="122" y="20" width="18" height="80" fill={iron} stroke={ink} />
    <path stroke={ink} d="M88 36H122M88 60H122M88 84H122" />
    <Span x1={88} y1={108} x2={122} y2={108} />
  </Frame>
);

/** Friction material alone, without its backing plate. */
export const PadLeft = () => (
  <Frame>
    <rect x="70" y="24" width="16" height="72" fill={ink} />
    <rect x="86" y="24" width="34" height="72" fill={iron} stroke={ink} />
    <rect x="122" y="12" width="20" height="96" fill="var(--sunk)" stroke={dim} />
    <Span x1={86} y1={108} x2={120} y2={108} />
  </Frame>
);

/** The whole rotor on the scales. */
export const OnScales = () => (
  <Frame>
    <ellipse cx="120" cy="46" rx="70" ry="14" fill={iron} stroke={ink} />
    <ellipse cx="120" cy="42" rx="28" ry="6" fill="var(--panel)" stroke={ink} />
    <path stroke={ink} d="M50 46V56M190 46V56" />
    <ellipse cx="120" cy="56" rx="70" ry="14" stroke={ink} />
    <rect x="70" y="78" width="100" height="24" rx="4" fill="var(--sunk)" stroke={ink} />
    <rect x="100" y="84" width="40" height="12" stroke={act} strokeWidth="2.2" />
  </Frame>
);

/** Pistons counted on both sides of the rotor. */
export const Pistons = () => (
  <Frame>
    <rect x="112" y="10" width="16" height="100" fill={iron} stroke={ink} />
    {[36, 84].map((y) => (
      <g key={y} stroke={act} strokeWidth="2.2">
        <circle cx="86" cy={y} r="16" />
        <circle cx="154" cy={y} r="16" />
      </g>
    ))}
    <path stroke={ink} d="M62 14H178V106H62Z" />
  </Frame>
);

/** A drop of fluid heated until it boils. */
export const BoilTest = () => (
  <Frame>
    <path stroke={ink} d="M86 40V92Q86 104 98 104H142Q154 104 154 92V40" />
    <path stroke={act} strokeWidth="2.2" d="M88 62H152" />
    <path stroke={dim} d="M104 52q4 -8 0 -16M120 52q4 -8 0 -16M136 52q4 -8 0 -16" />
    <path stroke={ink} strokeWidth="4" d="M170 24L128 88" />
    <circle cx="172" cy="20" r="7" stroke={ink} />
  </Frame>
);

/** The car on the scales, driver in it. */
export const CarScales = () => (
  <Frame>
    <path stroke={ink} d="M34 74L54 50H96L118 32H162L188 54L210 60V74Z" />
    <circle cx="74" cy="78" r="15" fill="var(--panel)" stroke={ink} />
    <circle cx="176" cy="78" r="15" fill="var(--panel)" stroke={ink} />
    <circle cx="132" cy="44" r="6" stroke={act} strokeWidth="2.2" />
    <path stroke={act} strokeWidth="2.2" d="M54 98H94M156 98H196" />
  </Frame>
);
