import type { CornerNetwork } from './cornerNetwork';
import { type Group, groupOfNode } from './groups';
import type { Corner } from './parts';
import { RADIAL_CELLS } from './radialBand';

/**
 * All that a wheel's brake brings along from what was driven before. It starts a run and comes out of it, and it can be
 * stored, shown, typed and begun from.
 */
export interface BrakeState {
  /** Temperature of every node of its network by the node's name, K */
  readonly temperatures: Readonly<Record<string, number>>;
  /** What each cell over the disc's radius has over its mean, K; RADIAL_CELLS from the inside outwards */
  readonly radial: readonly number[];
  /** Share of the pads that is glazed, 0 to 1 */
  readonly glaze: number;
  /** Share of pads and faces that is bedded: the film that a pad leaves on its rotor, 0 to 1 */
  readonly bedded: number;
  /** Friction material left on the inner and the outer pad, or on each shoe, m */
  readonly padThickness: { readonly inner: number; readonly outer: number };
  /** Of the rotor over both cheeks, or of the drum's rim, m */
  readonly rotorThickness: number;
  /** Water in the fluid, % by mass */
  readonly water: number;
  /** Share of the face's life to the first crack that is used up, 0 new */
  readonly damage: number;
}

/** What is wrong with a state, as data: where, and what was found. Wording is the text layer's. */
export interface StateFault {
  readonly code: 'unknown node' | 'missing node' | 'below absolute zero' | 'not positive' | 'out of range';
  /** `temperatures.hat`, `glaze`, `padThickness.inner` … */
  readonly path: string;
  /** In SI; NaN where there is none */
  readonly value: number;
}

/** A state that no brake can be in, or not this one. */
export class StateError extends RangeError {
  constructor(
    readonly fault: StateFault,
    /** Which brake, `frontLeft`; '' where one alone is meant */
    readonly wheel = '',
  ) {
    super(`${wheel ? `${wheel}: ` : ''}start state, ${fault.path}: ${fault.code} (${fault.value})`);
  }
}

/**
 * A brake with every part at one temperature and nothing worn but what its parts say.
 * @param temperature K
 * @param water in its fluid, % by mass
 * @param bedded share of its pads and faces, 0 to 1
 */
export function freshState(
  corner: Corner,
  layout: CornerNetwork,
  temperature: number,
  water: number,
  bedded: number,
): BrakeState {
  const { pad, rotor, drum } = corner;
  return {
    temperatures: Object.fromEntries(layout.network.nodes.map(({ name }) => [name, temperature])),
    radial: new Array<number>(RADIAL_CELLS).fill(0),
    glaze: 0,
    bedded,
    padThickness: { inner: pad.thickness, outer: pad.thickness },
    rotorThickness: drum ? drum.rimThickness : rotor.thickness,
    water,
    damage: 0,
  };
}

/**
 * The same brake with whole parts at other temperatures, as a sensor or a hand-held reading gives them.
 * @param at temperature of parts by their group, K; parts that are not named keep theirs
 */
export function warmed(
  state: BrakeState,
  layout: CornerNetwork,
  at: Readonly<Partial<Record<Group, number>>>,
): BrakeState {
  const temperatures = { ...state.temperatures };
  layout.network.nodes.forEach(({ name }, i) => {
    const own = at[layout.groups[i]];
    if (own !== undefined) temperatures[name] = own;
  });
  return { ...state, temperatures };
}

/** No brake part is hotter and still one, K. */
const HOTTEST = 4000;

/** The first thing wrong with a state for a brake's network, null where a run can begin from it. */
export function stateFault(layout: CornerNetwork, state: BrakeState): StateFault | null {
  const { temperatures, padThickness } = state;
  const names = new Set(layout.network.nodes.map(({ name }) => name));
  for (const [name, value] of Object.entries(temperatures)) {
    const path = `temperatures.${name}`;
    if (!names.has(name)) return { code: 'unknown node', path, value };
    if (value <= 0) return { code: 'below absolute zero', path, value };
    if (!(value <= HOTTEST)) return { code: 'out of range', path, value };
  }
  for (const name of names) {
    if (!(name in temperatures)) {
      return { code: 'missing node', path: `temperatures.${name}`, value: Number.NaN };
    }
  }
  const thickness = {
    'padThickness.inner': padThickness.inner,
    'padThickness.outer': padThickness.outer,
    rotorThickness: state.rotorThickness,
  };
  for (const [path, value] of Object.entries(thickness)) {
    if (!(value > 0 && value < Number.POSITIVE_INFINITY)) return { code: 'not positive', path, value };
  }
  for (const [cell, value] of state.radial.entries()) {
    if (!(Math.abs(value) <= HOTTEST)) return { code: 'out of range', path: `radial.${cell}`, value };
  }
  if (state.radial.length !== RADIAL_CELLS) {
    return { code: 'out of range', path: 'radial', value: state.radial.length };
  }
  const { bedded, glaze } = state;
  const ranges = {
    glaze: [glaze, 1],
    bedded: [bedded, 1],
    water: [state.water, 100],
    damage: [state.damage, 1e6],
  } as const;
  for (const [path, [value, most]] of Object.entries(ranges)) {
    if (!(value >= 0 && value <= most)) return { code: 'out of range', path, value };
  }
  return null;
}

/** @throws StateError naming the first thing wrong with it and the wheel */
export function assertState(layout: CornerNetwork, state: BrakeState, wheel = ''): void {
  const fault = stateFault(layout, state);
  if (fault) throw new StateError(fault, wheel);
}

/**
 * A state for a brake that has other nodes, since parts of it are others (own assumption): each node that the state does not have begins
 * at the mean of its part, or of the whole brake where the part is new.
 */
export function refitted(state: BrakeState, layout: CornerNetwork): BrakeState {
  const known = Object.entries(state.temperatures);
  const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const all = mean(known.map(([, kelvin]) => kelvin));
  const temperatures = layout.network.nodes.map(({ name }, i): [string, number] => {
    // A side that was one with the other begins as warm as both were.
    const twin = name.replace(/^inner /, '');
    for (const own of [name, twin]) if (own in state.temperatures) return [name, state.temperatures[own]];
    const alike = known
      .filter(([other]) => groupOfNode(other) === layout.groups[i])
      .map(([, kelvin]) => kelvin);
    return [name, alike.length > 0 ? mean(alike) : all];
  });
  // Another disc is even over its radius.
  const radial = new Array<number>(RADIAL_CELLS).fill(0);
  return { ...state, radial, temperatures: Object.fromEntries(temperatures) };
}
