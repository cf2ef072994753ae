import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { plainBrakes, plainChassis } from '../../../tests/support/vehicles';
import { circuitInput, dayInput, setupOf } from '../../model';
import type { Segment } from '../circuit';
import { STANDARD_GRAVITY } from '../constants';
import { simulateDay } from '../run';
import { driveLap, prepareCircuit } from './driveLap';
import { severityOf } from './severity';
import { type LapTrace, lapHeat, lapLength, lapTime } from './trace';
import type { Driver, Vehicle } from './vehicle';

const still = { airDensity: 1.2, ductDragArea: 0 };
const everything: Driver = { brakingGripUsed: 1, corneringGripUsed: 1, brakeBuildUp: 0, pace: 1 };
/** A point mass without drag, rolling resistance, downforce or rotating parts. */
const pointMass: Vehicle = {
  mass: 1000,
  rotatingInertia: 1,
  dragArea: 0,
  downforceArea: 0,
  power: 150_000,
  powerOverSpeed: null,
  intake: 'supercharged' as const,
  drivenShare: 1,
  rollingResistance: 0,
  engineBraking: 0,
  engineBrakingOverSpeed: null,
  lateralGrip: 1,
  longitudinalGrip: 1,
  loadSensitivity: 0,
  slipShare: 0,
  ...plainChassis,
  brakes: plainBrakes(0.6),
  wheelRadius: 0.3,
  loadFollowing: 0,
  recovery: null,
  abs: true,
};

describe('an oval, against its closed form', () => {
  const RADIUS = 250;
  const STRAIGHT = 2500;
  const oval: Segment[] = [0, 1].flatMap((): Segment[] => [
    { kind: 'straight', length: STRAIGHT, grade: 0 },
    { kind: 'corner', radius: RADIUS, angle: Math.PI, hand: 'left', grade: 0 },
  ]);

  /**
   * Corner at √(g·r); then constant power, v³ = v0³ + 3·(P/m)·s; then braking at g, v² = v1² + 2·g·s. Grip would allow
   * more than the power gives above P/(m·g) = 15.3 m/s, so power rules the whole straight.
   */
  function closedForm() {
    const corner = Math.sqrt(STANDARD_GRAVITY * RADIUS);
    const specific = pointMass.power / pointMass.mass;
    const speedAfter = (s: number) => Math.cbrt(corner ** 3 + 3 * specific * s);
    let [low, high] = [0, STRAIGHT];
    for (let i = 0; i < 100; i++) {
      const s = 0.5 * (low + high);
      if (speedAfter(s) ** 2 < corner ** 2 + 2 * STANDARD_GRAVITY * (STRAIGHT - s)) low = s;
      else high = s;
    }
    const top = speedAfter(low);
    const driving = (top ** 2 - corner ** 2) / (2 * specific);
    const braking = (top - corner) / STANDARD_GRAVITY;
    const turning = (Math.PI * RADIUS) / corner;
    return { corner, top, time: 2 * (driving + braking + turning), brakingLength: STRAIGHT - low };
  }

  it('has its speeds, its lap time and its braking distance', () => {
    const exact = closedForm();
    const circuit = prepareCircuit({ kind: 'line', segments: oval, names: oval.map(() => '') }, 0.5);
    const trace = driveLap(circuit, pointMass, everything, still);
    expect(trace.zones.length).toBe(2);
    expect(Math.abs(Math.max(...trace.speed) / exact.top - 1)).toBeLessThan(0.002);
    expect(Math.min(...trace.speed) / exact.corner).toBeCloseTo(1, 4);
    // The line is steered into its corners over 16 m, which shifts both by about half of that.
    expect(Math.abs(lapTime(trace) / exact.time - 1)).toBeLessThan(0.003);
    const [zone] = trace.zones;
    expect(Math.abs(zone.length - exact.brakingLength)).toBeLessThan(10);
    expect(zone.energy).toBeCloseTo(0.5 * 1000 * (zone.entrySpeed ** 2 - zone.exitSpeed ** 2), 3);
    expect(zone.energy / (0.5 * 1000 * (exact.top ** 2 - exact.corner ** 2))).toBeCloseTo(1, 1);
  });

  it('gives up twice as much heat with twice the mass at the same speeds', () => {
    const circuit = prepareCircuit({ kind: 'line', segments: oval, names: oval.map(() => '') });
    const light = driveLap(circuit, pointMass, everything, still);
    const heavy = driveLap(circuit, { ...pointMass, mass: 2000, power: 300_000 }, everything, still);
    expect(heavy.zones[0].energy / light.zones[0].energy).toBeCloseTo(2, 9);
    expect(lapTime(heavy)).toBeCloseTo(lapTime(light), 9);
  });
});

describe('from side to side', () => {
  const bend = (hand: 'left' | 'right'): Segment[] => [
    { kind: 'straight', length: 300, grade: 0 },
    { kind: 'corner', radius: 40, angle: Math.PI, hand, grade: 0 },
    { kind: 'straight', length: 300, grade: 0 },
    { kind: 'corner', radius: 40, angle: Math.PI, hand, grade: 0 },
  ];
  const leftPart = (hand: 'left' | 'right', loadFollowing: number) => {
    const segments = bend(hand);
    const circuit = prepareCircuit({ kind: 'line', segments, names: segments.map(() => '') });
    const vehicle = { ...pointMass, loadFollowing, engineBraking: 0 };
    const trace = driveLap(circuit, vehicle, { ...everything, brakingGripUsed: 0.8 }, still);
    const last = trace.time.length - 1;
    return trace.frontLeftHeat[last] / trace.frontHeat[last];
  };

  it('both wheels brake alike under the same pressure; where it follows the load, the outer brakes more', () => {
    expect(leftPart('left', 0)).toBeCloseTo(0.5, 12);
    // In a left-hand bend the left wheels are the inner ones.
    expect(leftPart('left', 1)).toBeLessThan(0.495);
    expect(leftPart('right', 1)).toBeCloseTo(1 - leftPart('left', 1), 9);
    expect(0.5 - leftPart('left', 0.5)).toBeCloseTo(0.5 * (0.5 - leftPart('left', 1)), 3);
  });
});

describe('where the start line lies', () => {
  const setup = setupOf(demoProject, 'plan-tarn-anvil');
  const input = dayInput({
    ...setup,
    plan: oneSession(setup.plan, { outLaps: 0, hotLaps: 3, coolDownLaps: 0 }),
  });
  const line = circuitInput(setup.circuit);
  if (line.kind !== 'line') throw new Error('the demo circuit is a line');

  /** The same lap begun `shift` metres into its longest straight. */
  function shifted(shift: number) {
    if (line.kind !== 'line') throw new Error('unreachable');
    const { segments, names } = line;
    const longest = segments.reduce(
      (best, s, i) =>
        s.kind === 'straight' && s.length > (segments[best] as { length: number }).length ? i : best,
      segments.findIndex((s) => s.kind === 'straight'),
    );
    const straight = segments[longest] as { kind: 'straight'; length: number; grade: number };
    const cut = shift * straight.length;
    const turned = <T>(list: readonly T[], first: T, last: T): T[] => [
      first,
      ...list.slice(longest + 1),
      ...list.slice(0, longest),
      last,
    ];
    return {
      kind: 'line' as const,
      segments: turned(
        segments,
        { ...straight, length: straight.length - cut },
        { ...straight, length: cut },
      ),
      names: turned(names, '', ''),
    };
  }
  const energies = (trace: LapTrace) => trace.zones.map((s) => s.energy / 1000).sort((a, b) => a - b);

  it('changes no braking zone and no temperature, also where it lies in the middle of a braking', () => {
    const home = simulateDay({ ...input, wind: null });
    let insideZone = 0;
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.98, noNaN: true }), (share) => {
        const moved = simulateDay({ ...input, wind: null, circuit: shifted(share) });
        if (moved.trace.distance[0] > 0) insideZone += 1;
        expect(moved.trace.zones.length).toBe(home.trace.zones.length);
        expect(Math.abs(lapTime(moved.trace) - lapTime(home.trace))).toBeLessThan(0.01);
        expect(Math.abs(lapLength(moved.trace) - lapLength(home.trace))).toBeLessThan(1e-6);
        const expected = energies(home.trace);
        energies(moved.trace).forEach((energy, k) => {
          expect(Math.abs(energy / expected[k] - 1)).toBeLessThan(0.01);
        });
        expect(new Set(moved.trace.zones.map((s) => s.name))).toEqual(
          new Set(home.trace.zones.map((s) => s.name)),
        );
        const air = moved.trace.zones.reduce((sum, s) => sum + s.airDistance + s.length, 0);
        expect(air).toBeCloseTo(lapLength(moved.trace), 6);
      }),
      // The longest straight ends in a braking of 104 m of its 620 m; 0.9 lies in it.
      { numRuns: 12, examples: [[0.9], [0.95]] },
    );
    expect(insideZone).toBeGreaterThanOrEqual(2);
  });
});

describe('what a circuit asks of a car', () => {
  const lap = (planId: string, change: Partial<Vehicle> = {}) => {
    const input = dayInput(setupOf(demoProject, planId));
    const circuit = prepareCircuit(input.circuit);
    if (circuit.kind !== 'line') throw new Error('a line was expected');
    const trace = driveLap(circuit, { ...input.vehicle, ...change }, { ...input.driver, pace: 1 }, still);
    return { trace, severity: severityOf(trace, circuit.line) };
  };
  it('agrees with the lap it is taken from, and knows the twisty from the fast', () => {
    const [anvil, nettle, fen] = ['plan-tarn-anvil', 'plan-ovel-nettle', 'plan-tarn-fen'].map((id) =>
      lap(id),
    );
    for (const { trace, severity } of [anvil, nettle, fen]) {
      expect(severity.energyPerLength * severity.length).toBeCloseTo(lapHeat(trace), 3);
      expect(severity.meanPower * severity.time).toBeCloseTo(lapHeat(trace), 3);
      expect(severity.brakingShare * severity.time).toBeGreaterThan(0.95 * sum(trace, (s) => s.duration));
      expect(severity.longestFree).toBeLessThan(severity.length);
    }
    expect(fen.severity.longestStraight).toBeGreaterThan(1600);
    expect(nettle.severity.airSpeed).toBeLessThan(anvil.severity.airSpeed);
    expect(anvil.severity.meanPower).toBeGreaterThan(fen.severity.meanPower);
    expect(anvil.severity.rightTurns).toBeCloseTo(
      (112 + 150 + 95 + 95 + 74) / (112 + 88 + 150 + 95 + 78 + 95 + 74),
      1,
    );
  });
  it('is alike left and right until the brakes follow the loads; then the outer side has more', () => {
    expect(lap('plan-tarn-anvil', { loadFollowing: 0 }).severity.leftShare).toBeCloseTo(0.5, 12);
    expect(lap('plan-tarn-anvil', { loadFollowing: 1 }).severity.leftShare).toBeGreaterThan(0.505);
  });
  const sum = (trace: LapTrace, of: (zone: LapTrace['zones'][number]) => number) =>
    trace.zones.reduce((total, zone) => total + of(zone), 0);
});
