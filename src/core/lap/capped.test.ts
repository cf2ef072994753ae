import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { circuitInput, dayInput, setupOf, zonesFromLap } from '../../model';
import { GAMMA } from '../heat';
import { buffersIn } from '../numeric';
import { emptySeries, emptyWheel, resizedSeries, resizedWheel } from '../run/record';
import { lapSteps } from '../schedule/lapSteps';
import { DEFAULT_STEPS } from '../schedule/steps';
import { type BrakeCap, driveLap, Laps, prepareCircuit } from './driveLap';
import { type LapTrace, lapHeat, lapLength, lapTime } from './trace';

const setup = setupOf(demoProject, 'plan-tarn-anvil');
const input = dayInput(setup);
const circuit = prepareCircuit(input.circuit);
const still = { airDensity: 1.2, ductDragArea: 0 };
const drive = (caps: readonly BrakeCap[] = []) =>
  driveLap(circuit, input.vehicle, { ...input.driver, pace: 1 }, still, caps);
const free = drive();

/** Work of all braking up to a point, J: brakes, motor and slip. */
const work = (trace: LapTrace, i: number) =>
  trace.frontHeat[i] + trace.rearHeat[i] + trace.slipped[i] + trace.recovered[i];
/** Greatest braking of a braking zone, N, over intervals of a metre. */
function peak(trace: LapTrace, k: number): number {
  const zone = trace.zones[k];
  let most = 0;
  for (let i = zone.startIndex; i < zone.endIndex; i++) {
    most = Math.max(
      most,
      (work(trace, i + 1) - work(trace, i)) / (trace.distance[i + 1] - trace.distance[i]),
    );
  }
  return most;
}
const caps = (available: (k: number) => number): BrakeCap[] =>
  free.zones.map((zone, k) => ({
    end: free.distance[zone.endIndex],
    available: available(k),
    needed: peak(free, k),
  }));

describe('a lap whose brakes are the limit', () => {
  it('is the same lap where they could do more', () => {
    const same = drive(caps(() => 1e6));
    expect(Array.from(same.speed)).toEqual(Array.from(free.speed));
    expect(same.zones).toEqual(free.zones);
  });

  it('is the same to the last bit after other laps of the car as by itself', () => {
    const bits = ({ zones, ...series }: LapTrace) => [
      zones,
      ...Object.entries(series).map(([name, values]) => [name, ...values]),
    ];
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.double({ min: 0.4, max: 1.6, noNaN: true }), { minLength: 9, maxLength: 9 }), {
          minLength: 2,
          maxLength: 4,
        }),
        (laps) => {
          const one = new Laps(circuit, input.vehicle, { ...input.driver, pace: 1 }, still);
          for (const shares of laps) {
            const own = caps((k) => shares[k % shares.length] * peak(free, k));
            expect(bits(one.drive(own))).toEqual(bits(drive(own)));
          }
          expect(bits(one.drive())).toEqual(bits(free));
        },
      ),
      { numRuns: 12 },
    );
  });

  it('keeps nothing of the room that laps pass through, nor do its steps', () => {
    const steps = lapSteps(free, DEFAULT_STEPS);
    const made = { trace: free, steps };
    const before = structuredClone(made);
    const other = { ...input.vehicle, mass: 1.3 * input.vehicle.mass };
    for (const [vehicle, asked] of [
      [other, []],
      [input.vehicle, caps((k) => 0.6 * peak(free, k))],
    ] as const) {
      const trace = driveLap(circuit, vehicle, { ...input.driver, pace: 0.7 }, still, asked);
      const next = { trace, steps: lapSteps(trace, DEFAULT_STEPS) };
      expect(made).toEqual(before);
      const own = buffersIn(made);
      expect([...buffersIn(next)].filter((buffer) => own.has(buffer))).toEqual([]);
    }
  });

  it('never brakes harder than they can, ends as fast as it starts, and loses time', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.35, max: 0.9, noNaN: true }), (share) => {
        const capped = drive(caps((k) => share * peak(free, k)));
        capped.zones.forEach((_, k) => {
          expect(peak(capped, k)).toBeLessThan(1.02 * share * peak(free, k));
        });
        expect(capped.speed[capped.speed.length - 1]).toBe(capped.speed[0]);
        expect(lapTime(capped)).toBeGreaterThan(lapTime(free));
        expect(lapLength(capped)).toBeCloseTo(lapLength(free), 9);
        expect(capped.zones.length).toBe(free.zones.length);
        // Corners are as fast as before; only the way to them is braked for earlier.
        capped.zones.forEach((zone, k) => {
          expect(zone.exitSpeed / free.zones[k].exitSpeed).toBeCloseTo(1, 2);
          expect(zone.length).toBeGreaterThanOrEqual(free.zones[k].length);
          expect(capped.distance[zone.startIndex]).toBeLessThan(
            free.distance[free.zones[k].startIndex] + 1e-9,
          );
        });
      }),
      { numRuns: 10 },
    );
  });

  it('asks of the brakes just what they can, whatever wheels, driveline and engine weigh in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1.25, noNaN: true }),
        fc.double({ min: 0, max: 1500, noNaN: true }),
        fc.double({ min: 2500, max: 5000, noNaN: true }),
        (rotatingInertia, engineBraking, available) => {
          const vehicle = { ...input.vehicle, rotatingInertia, engineBraking };
          const list = free.zones.map(({ endIndex }) => ({
            end: free.distance[endIndex],
            available,
            needed: 1e5,
          }));
          const capped = driveLap(
            circuit,
            vehicle,
            { ...input.driver, pace: 1, brakeBuildUp: 0 },
            still,
            list,
          );
          // Long braking from speed: all of it at the limit of the brakes.
          expect(peak(capped, 0) / available).toBeCloseTo(1, 2);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('is changed at the weak braking zone and on the way to it alone', () => {
    const weak = drive(caps((k) => (k === 3 ? 0.5 * peak(free, k) : 1e6)));
    weak.zones.forEach((zone, k) => {
      if (k === 3) expect(zone.length).toBeGreaterThan(1.5 * free.zones[k].length);
      else expect(zone).toMatchObject({ entrySpeed: free.zones[k].entrySpeed, length: free.zones[k].length });
    });
  });

  it('stretches typed braking zones by what is missing, within the way before them', () => {
    const typed = circuitInput({ ...setup.circuit, layout: { kind: 'zones', zones: zonesFromLap(free) } });
    const prepared = prepareCircuit(typed);
    const lap = (list: readonly BrakeCap[]) =>
      driveLap(prepared, input.vehicle, { ...input.driver, pace: 1 }, still, list);
    const plain = lap([]);
    const halves = plain.zones.map(
      (zone, k): BrakeCap => ({
        end: plain.distance[zone.endIndex],
        available: 0.5 * peak(plain, k),
        needed: peak(plain, k),
      }),
    );
    const long = lap(halves);
    expect(lapLength(long)).toBeCloseTo(lapLength(plain), 6);
    long.zones.forEach((zone, k) => {
      expect(zone.length).toBeGreaterThan(1.3 * plain.zones[k].length);
      expect(Math.abs(zone.entrySpeed - plain.zones[k].entrySpeed)).toBeLessThan(0.1);
    });
    // A longer stop from the same speeds gives the brakes a little less to do: drag has more way.
    expect(lapHeat(long)).toBeLessThan(lapHeat(plain));
    expect(lap(halves.map((cap) => ({ ...cap, available: 2 * cap.needed }))).zones).toEqual(plain.zones);
  });
});

describe('what a lap asks of its brakes, step by step', () => {
  it.each(demoProject.plans.map((plan) => plan.id))('adds up to the lap: %s', (id) => {
    const day = dayInput(setupOf(demoProject, id));
    const trace = driveLap(prepareCircuit(day.circuit), day.vehicle, { ...day.driver, pace: 1 }, still);
    const { demand, dt, inZone } = lapSteps(trace, DEFAULT_STEPS);
    if (!demand) throw new Error('a lap has a demand');
    const last = trace.time.length - 1;
    const sum = (of: (k: number) => number) => dt.reduce((total, _, k) => total + of(k), 0);
    expect(sum((k) => demand.way[k])).toBeCloseTo(lapLength(trace), 6);
    expect(sum((k) => demand.force[k] * demand.way[k]) / work(trace, last)).toBeCloseTo(1, 9);
    expect(sum((k) => demand.electric[k] * demand.way[k])).toBeCloseTo(trace.recoverable[last], 3);
    const braked = sum((k) => dt[k] * ((1 - GAMMA) * demand.early[k] + GAMMA * demand.late[k]));
    expect(braked / work(trace, last)).toBeCloseTo(1, 9);
    for (let k = 0; k < dt.length; k++) {
      expect(demand.frontLeft[k]).toBeGreaterThanOrEqual(0.1 - 1e-9);
      expect(demand.frontLeft[k]).toBeLessThanOrEqual(0.9 + 1e-9);
      // Touches close together are one braking zone; between them the car may gather speed.
      expect(demand.z[k]).toBeGreaterThanOrEqual(0);
      if (inZone[k] === 0) expect(demand.force[k] * demand.way[k]).toBeLessThan(0.02 * work(trace, last));
    }
  });
});

describe('records that grow', () => {
  it('keep what is in them, mark the new samples as nowhere, and give back what is spare', () => {
    const wheel = emptyWheel(3, 2);
    wheel.nodes.set([1, 2, 3, 4, 5, 6]);
    wheel.friction.set([0.1, 0.2, 0.3]);
    const grown = resizedWheel(wheel, 5);
    expect(Array.from(grown.nodes)).toEqual([1, 2, 3, 4, 5, 6, 0, 0, 0, 0]);
    expect(Array.from(grown.friction)).toEqual([0.1, 0.2, 0.3, 0, 0]);
    expect(grown.nodeCount).toBe(2);
    expect(resizedWheel(grown, 3)).toEqual(wheel);
    expect(resizedWheel(wheel, 3).nodes).toBe(wheel.nodes);

    const series = emptySeries(2);
    series.time.set([1, 2]);
    series.lap.set([0, 0]);
    const longer = resizedSeries(series, 4);
    expect(Array.from(longer.time)).toEqual([1, 2, 0, 0]);
    expect(Array.from(longer.lap)).toEqual([0, 0, -1, -1]);
    expect(Array.from(longer.zone)).toEqual([-1, -1, -1, -1]);
    expect(longer.force.pedal.length).toBe(4);
    expect(resizedSeries(longer, 2)).toEqual(series);
  });
});
