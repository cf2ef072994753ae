import type { AirProperties } from '../air';
import { cubeRoot, exp, power } from '../numeric';
import { blend, ductOnRotor } from './convection';
import type { Corner, VaneType } from './parts';
import { type RotorGeometry, rotorGeometry } from './rotorGeometry';

/** What a passage pumps and how well its walls give heat, over straight vanes (from memory). */
const VANES: Readonly<Record<VaneType, { pump: number; wall: number }>> = {
  straight: { pump: 1, wall: 1 },
  pillar: { pump: 0.85, wall: 1.25 },
  curved: { pump: 1.2, wall: 1 },
  // Each row begins its boundary layer anew, at the price of some flow.
  'curved-staggered': { pump: 1.1, wall: 1.3 },
  'curved-reversed': { pump: 0.75, wall: 1 },
};

/** Share of a fan's air speed that reaches the vanes of a standing rotor (from memory). */
const FAN_THROUGH = 0.15;

/** Reynolds numbers up to which a channel's flow is laminar, and from which on it is turbulent. */
const LAMINAR_UP_TO = 2300;
const TURBULENT_FROM = 1e4;

/**
 * Heat carried off by the air in a rotor's passage.
 * Pumping `v_in = 0.052·n·√(D² − d²)` (n in rev/min, m), `v_out = v_in·A_in/A_out`; turbulent
 * `Nu = 0.023·(1 + (d_h/l)^0.67)·Re^0.8·Pr^0.33` above Re = 1e4, laminar `1.86·(Re·Pr)^(1/3)·(d_h/l)^0.33`
 * (Limpert; from memory), between Re = 2300 and 1e4 linear between the two ends, as the VDI Heat Atlas (G1) does for
 * tubes. What of the duct's flow gets in joins by a power mean of exponent 2. The air takes no more than its capacity:
 * `ṁ·c_p·(1 − exp(−hA/ṁc_p))`; the share that comes round again from the wheel well takes less.
 *
 * Made once for a rotor in one air and blown through again and again: what comes of it are fields.
 */
export class Passage {
  /** kg/s */
  massFlow = 0;
  /** Share of it that came through the duct, 0 to 1 */
  fresh = 0;
  /** From the walls to the surroundings, W/K */
  conductance = 0;

  private readonly open: boolean;
  private readonly geometry: RotorGeometry;
  /** Speed that vanes pump at the inlet for each m/s of the car */
  private readonly pumping: number;
  /** Air through the duct for each m/s, kg/s */
  private readonly ducted: number;
  /** Area of the walls with how well they give heat, m² */
  private readonly walls: number;
  /** Nusselt number over what it goes with of the Reynolds number, and at both ends of what lies between */
  private readonly laminar: number;
  private readonly turbulent: number;
  private readonly laminarEnd: number;
  private readonly turbulentBegin: number;

  /** @param wheelRadius m */
  constructor(
    private readonly corner: Corner,
    private readonly air: AirProperties,
    wheelRadius: number,
  ) {
    const { rotor, constants } = corner;
    const geometry = rotorGeometry(rotor);
    this.geometry = geometry;
    this.open = !corner.drum && geometry.inletArea > 0;
    const vanes = VANES[rotor.vaneType];
    const { outerDiameter: D, innerDiameter: d } = rotor;
    this.pumping = (vanes.pump * 0.052 * 60 * Math.sqrt(D * D - d * d)) / (2 * Math.PI * wheelRadius);
    this.ducted = this.open ? air.density * ductOnRotor(corner).inlet : 0;
    const wallArea = geometry.cheekWall + geometry.vaneWall + geometry.holeWall;
    this.walls = vanes.wall * constants.vaneConvection * wallArea;
    const slim = geometry.hydraulicDiameter / geometry.vaneLength;
    this.laminar = this.open ? 1.86 * power(slim, 0.33) : 0;
    this.turbulent = this.open ? 0.023 * (1 + power(slim, 0.67)) * power(air.prandtl, 0.33) : 0;
    this.laminarEnd = this.laminarAt(LAMINAR_UP_TO);
    this.turbulentBegin = this.turbulentAt(TURBULENT_FROM);
  }

  /**
   * Blows it through.
   * @param speed of the car, m/s
   * @param fan speed of a fan's air at a standing wheel, m/s
   * @param past speed of the air past the car, m/s: its own but for the wind
   */
  blow(speed: number, fan: number, past: number): void {
    this.massFlow = 0;
    this.fresh = 0;
    this.conductance = 0;
    if (!this.open || speed + fan <= 0) return;
    const { air, geometry } = this;
    const pumped = this.pumping * speed;
    const ductFlow = this.ducted * Math.max(past, fan);
    const driven = ductFlow / (air.density * geometry.inletArea);
    const fanned = FAN_THROUGH * fan;
    const inlet = Math.sqrt(pumped * pumped + driven * driven + fanned * fanned);
    const massFlow = air.density * inlet * geometry.inletArea;
    const capacity = massFlow * air.specificHeat;
    // A breath of nothing: what it carries off is lost in rounding.
    if (capacity < 1e-9) return;
    const mean = 0.5 * inlet * (1 + geometry.inletArea / geometry.outletArea);
    const { coolingFactor, recirculation } = this.corner.air;
    const effectiveness = 1 - exp(-(this.coefficient(mean) * this.walls * coolingFactor) / capacity);
    const fresh = Math.min(1, ductFlow / massFlow);
    const again = recirculation * (1 - fresh);
    this.massFlow = massFlow;
    this.fresh = fresh;
    this.conductance = (capacity * effectiveness * (1 - again)) / (1 - again * (1 - effectiveness));
  }

  /** Heat transfer from the walls of a vane channel, W/(m²·K). @param speed mean in the channel, m/s */
  private coefficient(speed: number): number {
    const { air } = this;
    const dh = this.geometry.hydraulicDiameter;
    const reynolds = (air.density * speed * dh) / air.viscosity;
    const share = blend(reynolds, LAMINAR_UP_TO, TURBULENT_FROM);
    const slow = reynolds < LAMINAR_UP_TO ? this.laminarAt(reynolds) : this.laminarEnd;
    const fast = reynolds > TURBULENT_FROM ? this.turbulentAt(reynolds) : this.turbulentBegin;
    return (((1 - share) * slow + share * fast) * air.conductivity) / dh;
  }

  private laminarAt(reynolds: number): number {
    return this.laminar * cubeRoot(reynolds * this.air.prandtl);
  }

  private turbulentAt(reynolds: number): number {
    return this.turbulent * power(reynolds, 0.8);
  }
}

/** The air through a corner's passage at one speed; see `Passage.blow`. */
export function passage(
  corner: Corner,
  air: AirProperties,
  speed: number,
  wheelRadius: number,
  fan = 0,
  past = speed,
): Passage {
  const through = new Passage(corner, air, wheelRadius);
  through.blow(speed, fan, past);
  return through;
}
