import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recorded } from '../../../tests/support/recorded';
import { lapHeat, lapTime, loggedDay, type RawLog, simulateDay } from '../../core';
import { logStops } from '../../io';
import { prepareLog } from '../../io/logs/prepareLog';
import { dayInput, driveOf, type Setup, setupOf } from '../../model';
import { caseOf, estimate, predictReadings } from '../calibrate/estimate';
import { techniqueReport } from '../test/technique';
import { analyseLog } from './analyseLog';
import { lapsLeft } from './lapsLeft';
import { sensorReadings } from './sensorReadings';

const tarn = setupOf(demoProject);
const analysed = (raw: RawLog, setup: Setup = tarn) => analyseLog(prepareLog(raw, setup), setup);

describe('a log laid over its plan', () => {
  const raw = recorded({});
  const analysis = analysed(raw);

  it('is cut into what was driven, and every second of it is accounted for', () => {
    expect(analysis.by).toBe('position');
    expect(analysis.sampled).toBeCloseTo(0.05, 6);
    const kinds = analysis.pieces.map((p) => p.kind);
    expect(kinds.filter((k) => k === 'hot')).toHaveLength(3);
    expect([kinds[0], kinds[kinds.length - 1]]).toEqual(['out', 'stand']);
    analysis.pieces.slice(1).forEach((piece, i) => {
      expect(piece.from).toBeCloseTo(analysis.pieces[i].to, 9);
    });
    const { record, audit } = analysis.day;
    expect(record.time[record.time.length - 1]).toBeCloseTo(raw.time[raw.time.length - 1], 0);
    expect(audit.residual).toBeLessThan(0.001);
  });

  it('gives each stop its corner’s name and about the simulated lap’s energy', () => {
    const names = analysis.solved.zones.map((s) => s.name);
    for (const piece of analysis.pieces.filter((p) => p.kind === 'hot')) {
      const { trace } = analysis.day.laps[piece.lap];
      expect(trace.zones.map((s) => s.name)).toEqual(names);
      expect(lapHeat(trace) / lapHeat(analysis.solved)).toBeGreaterThan(0.97);
      expect(lapHeat(trace) / lapHeat(analysis.solved)).toBeLessThan(1.02);
      // The stand-in holds back a little in corners and in braking.
      expect(piece.to - piece.from).toBeGreaterThan(lapTime(analysis.solved));
    }
    expect(analysis.noise * 3.6).toBeGreaterThan(0.2);
    expect(analysis.noise * 3.6).toBeLessThan(0.32);
  });

  it('shows that the stand-in cools worse than the plan believes: every rotor is hotter than predicted', () => {
    expect(analysis.measured.map((m) => m.channel)).toEqual([
      'rotorFrontLeft',
      'rotorFrontRight',
      'rotorRearLeft',
      'rotorRearRight',
      'caliperFrontLeft',
      'fluidFront',
    ]);
    for (const series of analysis.measured) {
      expect(series.mean, series.channel).toBeGreaterThan(0);
      expect(series.rms).toBeGreaterThanOrEqual(Math.abs(series.mean));
      expect(series.time.length).toBe(series.predicted.length);
    }
    // With the stand-in's own cooling in the car the difference goes, but for what the sensors drift.
    const axle = (a: Setup['car']['front']) => ({ ...a, coolingFactor: a.coolingFactor * 0.88 });
    const known = { ...tarn, car: { ...tarn.car, front: axle(tarn.car.front), rear: axle(tarn.car.rear) } };
    const better = analysed(recorded({ noise: 0 }), known);
    for (const series of better.measured.filter((m) => !m.channel.startsWith('rotor'))) {
      expect(Math.abs(series.mean), series.channel).toBeLessThan(2.5);
    }
    const before = analysed(recorded({ noise: 0 }));
    for (const [i, series] of better.measured.entries()) {
      expect(Math.abs(series.mean)).toBeLessThan(0.6 * Math.abs(before.measured[i].mean));
    }
  });

  it('takes the air that was logged, and the plan’s where none was', () => {
    expect(analysis.ambientLogged).toBe(true);
    expect(analysis.ambient - 273.15).toBeCloseTo(tarn.plan.sessions[0].ambientC, 0);
    const { ambient: _, ...others } = raw.channels;
    const without = analysed(
      { time: raw.time, channels: others },
      {
        ...tarn,
        plan: { ...tarn.plan, sessions: [{ ...tarn.plan.sessions[0], ambientC: 31 }] },
      },
    );
    expect([without.ambientLogged, without.ambient]).toEqual([false, 304.15]);
  });

  it('tells of every braking zone what sensors and pressures came to, beside what was predicted', () => {
    const lap = analysis.pieces[analysis.typical ?? 0].lap;
    const zones = analysis.zones.filter((zone) => zone.lap === lap);
    expect(zones.map(({ name }) => name)).toEqual(analysis.day.laps[lap].trace.zones.map(({ name }) => name));
    for (const { sensors, pressures } of zones) {
      expect(sensors).toHaveLength(6);
      for (const own of sensors.filter(({ part }) => part === 'rotorBulk')) {
        expect(own.peak).toBeGreaterThan(own.before - 5);
        expect(own.predictedPeak).toBeGreaterThan(own.predictedBefore);
        expect(Math.abs(own.peak - own.predictedPeak)).toBeLessThan(120);
      }
      expect(pressures.map(({ axle }) => axle)).toEqual(['front', 'rear']);
      for (const { logged, predicted } of pressures) {
        expect(logged / predicted).toBeGreaterThan(0.8);
        expect(logged / predicted).toBeLessThan(1.25);
      }
    }
  });

  it('gives its sensors to the calibration thinned, with their shape kept', () => {
    const prepared = prepareLog(raw, tarn);
    const readings = sensorReadings(prepared.log);
    expect(readings.map(({ channel }) => channel)).toEqual(analysis.measured.map(({ channel }) => channel));
    for (const { channel, samples } of readings) {
      const whole = analysis.measured.find((own) => own.channel === channel);
      const [highest, all] = [
        Math.max(...samples.map(({ c }) => c)),
        Math.max(...(whole?.measured ?? [])) - 273.15,
      ];
      expect(samples.length).toBeLessThanOrEqual(48);
      expect(Math.abs(highest - all), channel).toBeLessThan(0.05 * all + 3);
      samples.slice(1).forEach(({ s }, i) => {
        expect(s).toBeGreaterThan(samples[i].s);
      });
    }
  });

  it('calibrates the cooling that the stand-in has: the truth lies within what is told', async () => {
    const stored = {
      ...driveOf(tarn, { id: 'd', name: 'log', date: '2026-06-13', log: { id: 'l', name: 'l' } }),
      observations: sensorReadings(prepareLog(raw, tarn).log)
        .filter(({ place }) => place === 'disc')
        .map(({ channel, wheel, place, samples }) => ({
          kind: 'sensor' as const,
          id: channel,
          excluded: null,
          note: '',
          wheel,
          place,
          channel,
          errorK: 12,
          samples: [...samples],
        })),
    };
    const prepared = prepareLog(raw, tarn);
    const day = loggedDay(prepared.input, 'Log', prepared.pieces, prepared.ambient);
    const answer = await estimate(
      [caseOf(stored, day)],
      [],
      ['frontCooling', 'rearCooling'],
      async (...asked) => predictReadings(...asked),
    );
    expect(answer.fit.odd).toEqual([]);
    for (const { low, high } of answer.fit.estimates.slice(0, 2)) {
      expect(low).toBeLessThan(0.88);
      expect(high).toBeGreaterThan(0.88);
      expect(high - low).toBeLessThan(0.35);
    }
  });

  it('laid over other parts predicts other temperatures from the same drive', () => {
    const ducted = { ...tarn, car: { ...tarn.car, front: { ...tarn.car.front, ductAreaCm2: 120 } } };
    const cooler = analysed(raw, ducted);
    expect(cooler.day.peaks.frontLeft.rotorBulk).toBeLessThan(analysis.day.peaks.frontLeft.rotorBulk - 20);
    expect(cooler.pieces.map((p) => p.from)).toEqual(analysis.pieces.map((p) => p.from));
  });
});

describe('laps left', () => {
  it('are none told before the first whole lap, then count down to where the day itself gives out', () => {
    const input = dayInput(tarn);
    const legs = [
      { kind: 'out' as const, laps: 1, pace: 0.65 },
      { kind: 'hot' as const, laps: 14, pace: 1 },
    ];
    const day = simulateDay({ ...input, sessions: [{ ...input.sessions[0], legs }] });
    const firsts = day.margins.flatMap((m) => (m.part !== 'bite' && m.passed?.lap ? [m.passed.lap] : []));
    const out = Math.min(...firsts);
    expect(lapsLeft(prepareLog(recorded({ laps: 8 }, 100), tarn))).toBeNull();
    const told = [240, 345].map(
      (seconds) => lapsLeft(prepareLog(recorded({ laps: 8 }, seconds), tarn))?.laps,
    );
    // After one and after two hot laps; the stand-in is a little slower than the plan.
    [1, 2].forEach((driven, i) => {
      expect(Math.abs((told[i] ?? 99) - (out - 2 - driven))).toBeLessThanOrEqual(1);
    });
    expect((told[0] ?? 0) - (told[1] ?? 0)).toBe(1);
  });
  it('are not limited for brakes that never reach a limit', () => {
    const cold = {
      ...tarn,
      car: {
        ...tarn.car,
        front: { ...tarn.car.front, coolingFactor: 3 },
        rear: { ...tarn.car.rear, coolingFactor: 3 },
      },
    };
    const left = lapsLeft(prepareLog(recorded({}, 345), cold), 12);
    expect(left).toEqual({ laps: null, looked: 12, margin: null });
  });
});

describe('logs that are hard to lay over anything', () => {
  it('standing still is said, not computed', () => {
    const time = Float64Array.from({ length: 400 }, (_, i) => i / 10);
    expect(() => analysed({ time, channels: { speed: new Float64Array(400) } })).toThrow(
      /stands still all through/,
    );
  });
  it('without a place, a lap number or anything like the lap is one piece', () => {
    const time = Float64Array.from({ length: 3000 }, (_, i) => i / 10);
    const { by, pieces, best, typical } = analysed({ time, channels: { speed: time.map(() => 20) } });
    expect([by, best, typical]).toEqual(['none', null, null]);
    expect(pieces).toHaveLength(1);
    expect(pieces[0].length).toBeCloseTo(20 * 299.9, 0);
  });
  it('with a minute missing in a lap says how much, and does not take that lap for the best', () => {
    const raw = recorded({ laps: 4, noise: 0 });
    const kept = Array.from(raw.time.keys()).filter((i) => raw.time[i] < 260 || raw.time[i] > 290);
    const pick = (values: ArrayLike<number>) => Float64Array.from(kept, (i) => values[i]);
    const analysis = analysed({
      time: pick(raw.time),
      channels: Object.fromEntries(Object.entries(raw.channels).map(([name, v]) => [name, pick(v)])),
    });
    const gappy = analysis.pieces.findIndex((p) => p.missing > 1);
    expect(analysis.pieces[gappy].missing).toBeCloseTo(30, 0);
    expect(analysis.pieces[gappy].kind).not.toBe('stand');
    expect([analysis.best, analysis.typical]).not.toContain(gappy);
  });
});

describe('technique and stops of a log', () => {
  const raw = recorded({});
  const prepared = prepareLog(raw, tarn);
  const report = techniqueReport(prepared, analyseLog(prepared, tarn));

  it('reads each hot lap’s zones from the foot: what they give away, and one press each', () => {
    expect(report.by).toBe('pedal');
    expect(report.laps).toHaveLength(3);
    for (const lap of report.laps) {
      expect(lap.zones).toHaveLength(7);
      expect(lap.zones.map(({ stabs }) => stabs)).toEqual(Array(7).fill(1));
      // The simulated driver uses 96 % of the grip the plan has: a little is given away in every zone.
      expect(lap.seconds).toBeGreaterThan(0);
      expect(lap.seconds).toBeLessThan(1.5);
      for (const zone of lap.zones) {
        expect(zone.use).toBeGreaterThan(0.8);
        expect(zone.use).toBeLessThan(1.08);
        expect(zone.coasting).toBeLessThan(0.6);
      }
    }
    const { pedalForce: _foot, ...channels } = raw.channels;
    const withoutFoot = { time: raw.time, channels };
    const other = prepareLog(withoutFoot, tarn);
    expect(techniqueReport(other, analyseLog(other, tarn)).by).toBe('pressure');
  });

  it('names the first brakings with cold pads, the coldest of them first on the out lap', () => {
    const [first] = report.cold;
    expect(first).toMatchObject({ lap: 0, zone: 0 });
    expect(first.friction).toBeLessThan(0.93);
    expect(first.pedal / first.hot).toBeCloseTo(1 / first.friction, 9);
    expect(first.earlier).toBeGreaterThan(0);
  });

  it('has no stop to rest on its laps, but snubs where they are looked for, with foot and disc', () => {
    expect(logStops(raw, { from: 15, to: 1.5, braked: 1.8 }).length).toBeLessThanOrEqual(1);
    const snubs = logStops(raw, { from: 30, to: 25, braked: 3 });
    expect(snubs.length).toBeGreaterThan(12);
    for (const snub of snubs) {
      expect(snub.pedal).toBeGreaterThan(100);
      expect(snub.disc).toBeGreaterThan(280);
      expect(snub.distance).toBeGreaterThan(5);
    }
  });
});
