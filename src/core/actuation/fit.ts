/** Where a caliper stands in its wheel; all m, axial measures outwards from the hub's mounting face. */
export interface WheelFit {
  /** Inside of the wheel's barrel, diameter */
  readonly barrelDiameter: number;
  /** From the wheel's mounting face inwards (−) or outwards (+) to the back of its spokes at the caliper's height */
  readonly spokes: number;
  /** Spacer between hub and wheel */
  readonly spacer: number;
  /** Rotor */
  readonly rotorDiameter: number;
  readonly rotorThickness: number;
  /** From the hub's face inwards to the rotor's outer face */
  readonly rotorDepth: number;
  /** Caliper body over the rotor's edge */
  readonly bridge: number;
  /** Caliper body outside of the outer pad's plate, with the piston drawn back: finger or half of the body */
  readonly outerBody: number;
  readonly sliding: boolean;
  /** Room in the caliper for rotor, pads and plates, with pistons drawn back */
  readonly opening: number;
  /** Friction material of one pad, and its backing plate with shim */
  readonly padThickness: number;
  readonly plateThickness: number;
  /** Friction material of a new pad */
  readonly newPadThickness: number;
}

export interface Clearance {
  readonly what: 'barrel' | 'spokes-new' | 'spokes-worn' | 'pads';
  /** m; negative where parts would be in each other */
  readonly clearance: number;
  /** Wanted at least, m */
  readonly wanted: number;
}

/** Clearance of a turning wheel to its caliper, m (3 mm; common practice), and of a pad that must slide in. */
const WHEEL_CLEARANCE = 0.003;
const PAD_CLEARANCE = 0.0005;

/**
 * Simple clearance check, own geometry: barrel, spokes with new and with worn pads, and pads in the caliper, m, negative
 * where parts would be in each other. A fixed caliper stays where it is bolted, centred on the rotor; a sliding one moves outwards by as much as its
 * outer pad is thick, so new pads bring it nearest to the spokes.
 */
export function wheelClearances(fit: WheelFit): Clearance[] {
  const barrel = fit.barrelDiameter / 2 - (fit.rotorDiameter / 2 + fit.bridge);
  const outerFace = -fit.rotorDepth;
  const outermost = (pad: number) => {
    if (fit.sliding) return outerFace + pad + fit.plateThickness + fit.outerBody;
    return outerFace - fit.rotorThickness / 2 + fit.opening / 2 + fit.outerBody;
  };
  const toSpokes = (pad: number) => fit.spacer + fit.spokes - outermost(pad);
  const needed = fit.rotorThickness + 2 * (fit.newPadThickness + fit.plateThickness);
  return [
    { what: 'barrel', clearance: barrel, wanted: WHEEL_CLEARANCE },
    { what: 'spokes-new', clearance: toSpokes(fit.newPadThickness), wanted: WHEEL_CLEARANCE },
    { what: 'spokes-worn', clearance: toSpokes(fit.padThickness), wanted: WHEEL_CLEARANCE },
    { what: 'pads', clearance: fit.opening - needed, wanted: PAD_CLEARANCE },
  ];
}
