import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../../../demo/project';
import type { LogNote } from '../../../core';
import { setupOf, takeFit } from '../../../model';
import type { LapFit, LapsLeft } from '../../../services';
import { lapText } from '../../../text/en/lapText';
import { leftText } from '../../../text/en/leftText';
import { noteText } from '../../../text/en/noteText';
import { windText } from '../../../text/en/windText';
import { handOver, takeHanded } from '../../shell/handedFile';
import { barLength, fitGround, turned } from '../circuits/ground';
import { LiveRecorder } from './liveRecorder';

/** A stream that does what the test tells it. */
class FakeSource extends EventTarget {
  static opened: FakeSource[] = [];
  static readonly CLOSED = 2;
  readyState = 1;
  constructor(readonly url: string) {
    super();
    FakeSource.opened.push(this);
  }
  close() {
    this.readyState = 2;
  }
  say(type: string, data: unknown, id?: number) {
    const text = typeof data === 'string' ? data : JSON.stringify(data);
    this.dispatchEvent(
      Object.assign(new Event(type), { data: text, lastEventId: id === undefined ? '' : String(id) }),
    );
  }
}

describe('the live recorder', () => {
  beforeEach(() => {
    FakeSource.opened = [];
    vi.stubGlobal('EventSource', FakeSource);
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  const columns = ['Time (s)', 'Speed (km/h)', 'Gear'];
  const rows = (from: number, to: number) =>
    Array.from({ length: to - from }, (_, k) => [(from + k) / 10, 36 + from + k, 3]);
  const started = () => {
    const recorder = new LiveRecorder();
    recorder.connect('/stream?x=1');
    const [source] = FakeSource.opened;
    source.say('start', { columns, count: 400 });
    return { recorder, source };
  };

  it('keeps each sample once, in SI, though a batch comes twice', () => {
    const { recorder, source } = started();
    source.say('rows', rows(0, 50), 49);
    source.say('rows', rows(30, 60), 59);
    vi.advanceTimersByTime(300);
    const raw = recorder.raw();
    expect(raw?.time.length).toBe(60);
    expect(raw?.channels.speed?.[9]).toBeCloseTo(12.5, 9);
    expect(Object.keys(raw?.channels ?? {})).toEqual(['speed']);
    expect(recorder.getView()).toMatchObject({ state: 'live', samples: 60, share: 0.15 });
  });
  it('says a lost connection, keeps what it has, and asks a closed stream to go on from there', () => {
    const { recorder, source } = started();
    source.say('rows', rows(0, 50), 49);
    source.readyState = 0;
    source.dispatchEvent(new Event('error'));
    expect(recorder.getView()).toMatchObject({ state: 'lost', losses: 1 });
    source.say('start', { columns });
    expect(recorder.getView().state).toBe('live');
    source.readyState = 2;
    source.dispatchEvent(new Event('error'));
    vi.advanceTimersByTime(2000);
    expect(FakeSource.opened[1].url).toBe('/stream?x=1&after=49');
    FakeSource.opened[1].say('start', { columns });
    FakeSource.opened[1].say('rows', rows(50, 70), 69);
    FakeSource.opened[1].say('end', '');
    vi.advanceTimersByTime(300);
    expect(recorder.getView()).toMatchObject({ state: 'ended', samples: 70, losses: 2 });
    expect(recorder.raw()?.time[69]).toBeCloseTo(6.9, 9);
  });
  it('shows every sample it has the moment it is stopped', () => {
    const { recorder, source } = started();
    source.say('rows', rows(0, 50), 49);
    vi.advanceTimersByTime(300);
    source.say('rows', rows(50, 99), 98);
    recorder.stop();
    expect(recorder.getView()).toMatchObject({ state: 'ended', samples: 99, now: { time: 9.8 } });
    expect(recorder.raw()?.time.length).toBe(99);
  });
  it('leaves out what comes garbled and says so; a stream that begins wrongly is ended', () => {
    const { recorder, source } = started();
    source.say('rows', rows(0, 50), 49);
    source.say('rows', '[[1,2', 60);
    source.say('rows', [['x', 2, 3]], 61);
    expect(recorder.getView().error).toMatch(/garbled/);
    expect(recorder.raw()?.time.length).toBe(50);
    const other = new LiveRecorder();
    other.connect('/stream');
    FakeSource.opened[1].say('start', { columns: 'none' });
    expect(other.getView()).toMatchObject({ state: 'ended' });
    expect(other.getView().error).toMatch(/names of its columns/);
  });
  it('replays a log as fast as wanted and then ends', () => {
    const recorder = new LiveRecorder();
    const time = Float64Array.from({ length: 300 }, (_, i) => 50 + i / 10);
    recorder.replay({ time, channels: { speed: time.map((t) => t) } }, 10);
    vi.advanceTimersByTime(1000);
    const half = recorder.getView().samples;
    expect(half).toBeGreaterThan(70);
    expect(half).toBeLessThan(110);
    vi.advanceTimersByTime(3000);
    expect(recorder.getView()).toMatchObject({ state: 'ended', samples: 300, share: 1 });
    expect(recorder.raw()?.time[0]).toBe(0);
    expect(recorder.raw()?.channels.speed?.[299]).toBeCloseTo(79.9, 9);
  });
});

describe('taking a fit over', () => {
  const setup = setupOf(demoProject);
  const fitted = (cornering: number, braking: number, power: number, atLimit = false): LapFit => {
    const one = (factor: number) => ({ factor, uncertainty: 0.01, atLimit: false });
    const like = { speed: 0, time: 0, heat: 0 };
    return {
      cornering: one(cornering),
      braking: one(braking),
      power: { ...one(power), atLimit },
      before: like,
      after: like,
      settled: true,
      solved: null as never,
    };
  };
  it('changes the plan while the driver has more in hand, and nothing else but the power', () => {
    const taken = takeFit(demoProject, setup, fitted(0.95, 1.05, 1.1));
    expect(taken.plans[0].corneringGripUsedPercent).toBeCloseTo(92 * 0.95, 1);
    expect(taken.plans[0].brakingGripUsedPercent).toBeCloseTo(86 * 1.05, 1);
    expect(taken.cars[0].powerKw).toBeCloseTo(setup.car.powerKw * 1.1, 1);
    expect(taken.cars[0].tyres).toEqual(setup.car.tyres);
    expect(taken.plans.slice(1)).toEqual(demoProject.plans.slice(1));
  });
  it('raises the tyres’ grip by what no share of grip used can give, so that their product is what was fitted', () => {
    const taken = takeFit(demoProject, setup, fitted(1.3, 1, 1, true));
    const { tyres, powerKw } = taken.cars[0];
    expect(taken.plans[0].corneringGripUsedPercent).toBe(100);
    expect((tyres.lateralGrip * 100) / (setup.car.tyres.lateralGrip * 92)).toBeCloseTo(1.3, 2);
    expect(tyres.longitudinalGrip).toBe(setup.car.tyres.longitudinalGrip);
    expect(powerKw).toBe(setup.car.powerKw);
  });
});

describe('words of a log', () => {
  const note = (kind: LogNote['kind'], more: Partial<LogNote> = {}): LogNote => ({
    kind,
    channel: 'time',
    count: 1,
    first: 10,
    size: 0,
    ...more,
  });
  it('say what was found and at which line of the file, also where rows were averaged', () => {
    const from = { first: 4, perSample: 10 };
    expect(noteText(note('time-back', { count: 3 }), from)).toBe(
      'Time ran backwards at 3 samples, first at line 104; they were left out.',
    );
    expect(noteText(note('clock-shift', { size: -3600 }), from)).toContain('set by −1 h, first at line 104');
    expect(noteText(note('gap', { count: 2, size: 7.25 }), from)).toContain(
      '2 gaps in the log, 7.3 s together',
    );
    expect(noteText(note('out-of-range', { channel: 'rotorFrontLeft' }), from)).toContain(
      '1 reading of rotor, front left is impossible',
    );
    // A live recording has no lines.
    expect(noteText(note('spike', { channel: 'speed' }), { first: 1, perSample: 1 })).not.toContain('line');
  });
  it('write lap times', () => {
    expect([lapText(105.5), lapText(59.996), lapText(3.2), lapText(600)]).toEqual([
      '1:45.50',
      '1:00.00',
      '0:03.20',
      '10:00.00',
    ]);
  });
  it('never promise: laps left are about so many, and at a limit it is time to come in', () => {
    const left = (laps: number | null): LapsLeft => ({
      laps,
      looked: 20,
      margin: { axle: 'front', side: 'both', part: 'padFace' } as NonNullable<LapsLeft['margin']>,
    });
    expect(leftText(undefined)).toBe('Computing …');
    expect(leftText(null)).toMatch(/after the first whole lap/);
    expect(leftText(left(null))).toBe('No limit within 20 more laps like the last one.');
    expect(leftText(left(1))).toBe('About 1 more lap until the front pads pass their limit.');
    expect(leftText(left(0))).toMatch(/^Come in: by the prediction/);
    for (const laps of [null, 0, 1, 5]) expect(leftText(left(laps))).not.toMatch(/safe/i);
  });
});

describe('the ground', () => {
  it('fits whole, north up, at one scale both ways', () => {
    const fit = fitGround([0, 400], [0, 100], 868, 434);
    expect(fit.x(400) - fit.x(0)).toBeCloseTo(800, 9);
    expect(fit.y(0) - fit.y(100)).toBeCloseTo(200, 9);
    expect([fit.x(200), fit.y(50)]).toEqual([434, 217]);
  });
  it('has a scale bar that is round and no longer than wanted', () => {
    for (const perUnit of [0.013, 0.2, 1, 3.7, 42]) {
      const bar = barLength(perUnit, 110);
      expect(bar * perUnit).toBeLessThanOrEqual(110);
      expect(bar * perUnit).toBeGreaterThan(110 / 2.6);
      expect([1, 2, 5]).toContain(Number(bar.toPrecision(1)) / 10 ** Math.floor(Math.log10(bar) + 1e-9));
    }
  });
  it('turns a line to its compass bearing, and tells head wind from tail wind', () => {
    const east = turned({ x: [0, 10], y: [0, 0] }, 90);
    expect([east.x[1], east.y[1]].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([10, 0]);
    const south = turned({ x: [0, 10, 20], y: [0, 0, 0] }, 180);
    expect(south.y[1]).toBeCloseTo(-10, 9);
    expect(windText(south, 0, 180)).toBe('against the wind');
    expect(windText(south, 0, 0)).toBe('with the wind behind');
    expect(windText(south, 0, 90)).toBe('across the wind');
  });
});

describe('files dropped on the window', () => {
  it('go to the page that reads their kind, once', () => {
    const file = new File(['x'], 'a.gpx');
    handOver('tracks', file);
    expect(takeHanded('log')).toBeNull();
    expect(takeHanded('tracks')).toBe(file);
    expect(takeHanded('tracks')).toBeNull();
  });
});
