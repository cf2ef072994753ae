import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { driveFor, judgedDay, movedBy, readingsOf, type WheelName } from '../core';
import { dayInput, readProject, setupOf, starterZone, writeProject } from '../model';
import { BUILT_IN } from '../model/catalogue/builtIn';
import { resultDocument } from '../report';
import { CliError } from './error';
import { runCli } from './runCli';

const SILICONE = BUILT_IN.find((part) => part.kind === 'fluid' && part.values.silicone)?.id ?? '';
let folder = '';
const file = (name: string) => join(folder, name);
function kettle(...args: string[]): { code: number; text: string } {
  let text = '';
  const code = runCli(args, (part) => {
    text += part;
  });
  return { code: code as number, text };
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'kettle-'));
  writeFileSync(file('demo.json'), writeProject(demoProject));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('kettle', () => {
  it('prints the demo project so that it reads back', () => {
    const { code, text } = kettle('demo');
    expect(code).toBe(0);
    expect(readProject(text)).toEqual({ ok: true, project: demoProject });
  });

  it('runs a file: verdict, braking zone table, margins, energy', () => {
    const { code, text } = kettle('run', file('demo.json'));
    expect(code).toBe(0);
    expect(text).toMatch(/Over limit\. The front pads overheat first/);
    expect(text).toMatch(/1 {2}Hammer/);
    expect(text).toMatch(/caliper seals/);
    expect(text).toMatch(/no proof that brakes will hold/);
  });

  it('writes the whole result, the same to nine digits as computed here', () => {
    kettle(
      'run',
      file('demo.json'),
      '--plan',
      'plan-skarn-fen',
      '--json',
      file('out.json'),
      '--csv',
      file('out.csv'),
    );
    const setup = setupOf(demoProject, 'plan-skarn-fen');
    const expected = resultDocument(setup, judgedDay(dayInput(setup)));
    expect(JSON.parse(readFileSync(file('out.json'), 'utf8'))).toEqual(JSON.parse(JSON.stringify(expected)));
    expect(readFileSync(file('out.csv'), 'utf8')).toMatch(
      /^session,lap,kind,braking zone,place,Entry speed \(km\/h\)/,
    );
    const trace = readFileSync(file('out-trace.csv'), 'utf8').split('\n');
    expect(trace[0]).toMatch(/^time \(s\)/);
    const at = trace[0].split(',').indexOf('speed (km/h)');
    const fastest = Math.max(...trace.slice(1, -1).map((row) => Number(row.split(',')[at])));
    const lap = judgedDay(dayInput(setup)).trace;
    expect(fastest).toBeGreaterThan(3.6 * Math.max(...lap.speed) - 3);
    expect(fastest).toBeLessThanOrEqual(3.6 * Math.max(...lap.speed) + 1e-6);
    const { text } = kettle('run', file('demo.json'), '--json', '-');
    expect(JSON.parse(text).format).toBe('fervent-kettle-result');
  });

  it('checks a file, with paths, and exits with 2', () => {
    expect(kettle('check', file('demo.json')).code).toBe(0);
    const [car] = demoProject.cars;
    writeFileSync(file('bad.json'), JSON.stringify({ ...demoProject, cars: [{ ...car, massKg: -1 }] }));
    const bad = kettle('check', file('bad.json'));
    expect(bad.code).toBe(2);
    expect(bad.text).toContain('error: cars[0].massKg: must be at least 100');
    expect(bad.text).toContain('names no car');
    const open = structuredClone(demoProject);
    if (open.circuits[0].layout.kind === 'line') open.circuits[0].layout.segments.splice(2, 1);
    writeFileSync(file('open.json'), JSON.stringify(open));
    const gap = kettle('check', file('open.json'));
    expect(gap.code).toBe(2);
    expect(gap.text).toMatch(/circuits\[0\]\.layout\.segments: the line does not close/);
    expect(() => kettle('run', file('open.json'))).toThrow(/cannot be computed/);
    // A car that would fly at a typed speed.
    const flying = structuredClone(demoProject);
    Object.assign(flying.cars[0], { massKg: 250, downforceAreaM2: -1 });
    const zone = { ...starterZone('Stop 1'), entryKmh: 300, by: 'distance' as const, distanceM: 500 };
    flying.circuits[0].layout = { kind: 'zones', zones: [zone] };
    writeFileSync(file('flying.json'), JSON.stringify(flying));
    expect(kettle('check', file('flying.json'))).toMatchObject({
      code: 2,
      text: expect.stringMatching(
        /error: plans\[0\]: the body’s lift would leave less than a quarter .* up to 300 km\/h/,
      ),
    });
    expect(() => kettle('run', file('flying.json'))).toThrow(
      /cannot be computed: At 67\.2 m\/s the body’s lift/,
    );
  });

  it('prints a wheel’s network with all that acts on it', () => {
    const { code, text } = kettle('network', file('demo.json'), '--wheel', 'rearRight');
    expect(code).toBe(0);
    const run = JSON.parse(text);
    expect(run).toMatchObject({ format: 'fervent-kettle-network', version: 1, wheel: 'rearRight' });
    const steps = run.times.length - 1;
    expect(run.ambient.length).toBe(steps);
    expect(run.temperatures.length).toBe(steps + 1);
    expect(run.temperatures[0]).toEqual(run.nodes.map((n: { start: number }) => n.start));
    for (const link of run.links) {
      if (typeof link.conductance !== 'number') expect(link.conductance.length).toBe(steps);
    }
    // The heat of its sources is half of what the rear axle made.
    const made = run.sources.reduce(
      (sum: number, s: { from: number[]; to: number[] }) =>
        sum +
        s.from.reduce((q, from, k) => q + 0.5 * (from + s.to[k]) * (run.times[k + 1] - run.times[k]), 0),
      0,
    );
    const result = judgedDay(dayInput(setupOf(demoProject)));
    const rear = result.laps.flatMap((lap) => lap.forces).reduce((sum, f) => sum + f.rearHeat, 0);
    // Touches too short to be a braking zone are not among the braking zones.
    expect(Math.abs(made / (rear / 2) - 1)).toBeLessThan(1e-3);
    expect(() => kettle('network', file('demo.json'), '--wheel', 'fifth')).toThrow(/one of frontLeft/);
  });

  it('answers a wrong use in words', () => {
    expect(() => kettle('bake')).toThrow(CliError);
    expect(() => kettle('run')).toThrow(/a FILE is needed/);
    expect(() => kettle('run', file('none.json'))).toThrow(/cannot be read/);
    expect(() => kettle('run', file('demo.json'), '--plan', 'x')).toThrow(/plan-tarn-anvil: Twenty minutes/);
    expect(() => kettle('run', file('demo.json'), '--wat')).toThrow(CliError);
    expect(() => kettle('run', file('bad.json'))).toThrow(/cars\[0\]\.massKg/);
  });

  it('takes no option that is another command’s, and names its own', () => {
    for (const [command, option, own] of [
      ['run', '--bed', '--json, --csv, --plan'],
      ['season', '--plan', '--season, --today'],
      ['network', '--json', '--plan, --wheel'],
    ]) {
      const value = option === '--bed' ? [] : ['x'];
      const wrong = () => kettle(command, file('demo.json'), option, ...value);
      expect(wrong).toThrow(`${option} is no option of ${command}; it takes ${own}`);
    }
  });

  it('publishes the schema', () => {
    expect(JSON.parse(kettle('schema').text).title).toBe('Fervent Kettle project');
  });

  it('calibrates from readings: values, what is not told, what does not fit, what is next; the project it writes is calibrated', async () => {
    const [morning] = demoProject.drives;
    const legs = [
      { kind: 'hot' as const, laps: 2, pacePercent: 100 },
      { kind: 'paddock' as const, minutes: 4, fanKmh: 0 },
    ];
    const plan = {
      ...morning.plan,
      brakesEarlier: false,
      sessions: morning.plan.sessions.map((session) => ({ ...session, legs })),
    };
    const day = dayInput({ ...morning, plan, calibration: null });
    const drive = driveFor(movedBy(day, { frontCooling: 0.7 }));
    const fahrenheit = (wheel: WheelName, after: number) => {
      const look = { kind: 'standing' as const, wheel, part: 'rotorFace' as const, lap: 2, after };
      const [kelvin] = readingsOf(drive, [{ id: 'r', look, seen: { kind: 'value', value: 0, error: 1 } }]);
      return Math.round(1.8 * (kelvin - 273.15) + 32);
    };
    const readings = [
      'kind,wheel,place,value (°F),lap,seconds,instrument,error (°F)',
      `spot,FL,disc,${fahrenheit('frontLeft', 55)},2,55,contact,4`,
      `spot,FR,disc,${fahrenheit('frontRight', 85)},2,85,contact,4`,
      `spot,RL,disc,${fahrenheit('rearLeft', 120)},2,120,contact,4`,
      `spot,RR,disc,${fahrenheit('rearRight', 150) + 180},2,150,contact,4`,
    ].join('\n');
    writeFileSync(file('readings.csv'), readings);
    const project = { ...demoProject, plans: [plan], selectedPlanId: plan.id, drives: [] };
    writeFileSync(file('morning.json'), writeProject(project));
    let text = '';
    const print = (part: string) => {
      text += part;
    };
    const args = ['calibrate', file('morning.json'), '--readings', file('readings.csv')];
    expect(await runCli([...args, '--out', file('out.json')], print)).toBe(0);
    expect(text).toMatch(/Front cooling +(6[4-9]|7[0-6])\.\d %/);
    expect(text).toMatch(/Front µ .*not told/);
    expect(text).toMatch(/does not fit the others: reading-4/);
    expect(text).toMatch(/Measure next: /);
    const read = readProject(readFileSync(file('out.json'), 'utf8'));
    expect(read.ok && setupOf(read.project).calibration?.values.length).toBeGreaterThan(0);
    writeFileSync(file('bad.csv'), 'kind,wheel,value\nspot,FL,hot');
    const bad = runCli(['calibrate', file('morning.json'), '--readings', file('bad.csv')], print);
    await expect(bad).rejects.toThrow(/line 2: valueC/);
    await expect(runCli(['calibrate', file('morning.json')], print)).rejects.toThrow(/no drive of Tarn/);
    // What was written has the drive in it: without readings it is calibrated from that, the same.
    const before = text;
    text = '';
    expect(await runCli(['calibrate', file('out.json')], print)).toBe(0);
    const fitted = (of: string) => /Front cooling +([\d.]+) %/.exec(of)?.[1];
    expect(fitted(text)).toBe(fitted(before));
  }, 120_000);

  it('prints what is to be done to a car, how it is bled and bedded, and writes it as data', () => {
    const { code, text } = kettle(
      'prepare',
      file('demo.json'),
      '--bed',
      '--bleed',
      '--json',
      file('work.json'),
    );
    expect(code).toBe(0);
    expect(text).toMatch(/Before the June club day, Tarn Two club car, 2026-06-27/);
    expect(text).toMatch(/\[ \] Before the car moves: pump the pedal/);
    expect(text).toMatch(/1 Rear left, outer screw: new fluid shows after 32 cm³; draw 74 cm³/);
    expect(text).toMatch(/Bedding: \d+ medium applications to warm up, \d+ hard snubs/);
    expect(text).toMatch(/A prediction is no proof/);
    const written = JSON.parse(readFileSync(file('work.json'), 'utf8'));
    expect(written).toMatchObject({ format: 'fervent-kettle-preparation', version: 1 });
    expect(written.bedding.bedded).toBe(true);
    expect(written.bleeding.screws).toHaveLength(9);
    const plain = kettle('prepare', file('demo.json'), '--plan', 'plan-ovel-nettle', '--bed').text;
    expect(plain).toMatch(/Nothing is to be bedded/);
    expect(plain).not.toMatch(/Bleeding by/);
  });

  it('prepares one of the plan’s setups, and refuses what must never be: exit 2', () => {
    const project = structuredClone(demoProject);
    project.plans[0].compare.setups = [
      {
        id: 'bad',
        name: 'Silicone',
        carId: 'car-tarn',
        changes: [{ kind: 'part', part: SILICONE, axle: 'front' }],
        otherCost: 0,
      },
    ];
    writeFileSync(file('silicone.json'), writeProject(project));
    const { code, text } = kettle('prepare', file('silicone.json'), '--setup', 'bad', '--bleed');
    expect(code).toBe(2);
    expect(text).toMatch(/Glycol and silicone fluid must never meet/);
    expect(() => kettle('prepare', file('silicone.json'), '--setup', 'good')).toThrow(
      /no setup "good"[\s\S]*bad: Silicone/,
    );
    expect(() => kettle('prepare', file('demo.json'), '--json', file('no/such/folder'))).toThrow(
      /cannot be written/,
    );
  });

  it('predicts a test, reads a record, says what held each stop and what the figures carry', () => {
    const record = 'src/app/public/samples/stops.csv';
    const { code, text } = kettle('test', file('demo.json'), '--record', record);
    expect(code).toBe(0);
    expect(text).toMatch(/Repeated stops, Tarn Two club car/);
    expect(text).toMatch(/1 test +\d+\.\d m/);
    expect(text).toMatch(/3 +41\.1 m +40\.4 m +fading/);
    expect(text).toMatch(/tyres \(ABS\)/);
    expect(text).toMatch(/3\.2 % less than “Standard pads”; 3\.3 % of “Track pads”/);
    expect(text).toMatch(/closed course/);
    const json = kettle('test', file('demo.json'), '--record', record, '--json', '-').text;
    const document = JSON.parse(json);
    expect(document).toMatchObject({ format: 'fervent-kettle-test-report', runs: { length: 2 } });
    expect(document.runs[0].stops[0]).toMatchObject({ measuredM: 39.2, limit: 'not told', marked: false });
    expect(document.predicted.energyBalanceError).toBeLessThan(1e-6);
    expect(document.comparisons.map((own: { value: string }) => own.value)).toEqual([
      ...['distance', 'pedal', 'deceleration'],
    ]);
  });

  it('tests by the project’s own, or by a kind; a doubtful stop exits 2, a broken record is refused by line', () => {
    expect(kettle('test', file('demo.json')).text).toMatch(/Enduro front pads 3/);
    expect(kettle('test', file('demo.json'), '--test', 'rules').text).toMatch(
      /met +distance .* at most 70\.0 m/,
    );
    expect(() => kettle('test', file('demo.json'), '--test', 'nothing')).toThrow(/repeated, endurance/);
    writeFileSync(file('feet.csv'), 'From (km/h),Distance (m)\n80,40\n80,41\n80,40.5\n80,133\n');
    const feet = kettle('test', file('demo.json'), '--record', file('feet.csv'));
    expect(feet.code).toBe(2);
    expect(feet.text).toMatch(/\? Stop 4: is that feet\? It would be 40\.5 m/);
    writeFileSync(file('broken.csv'), 'From (km/h),Distance (m)\n80,far\n');
    expect(() => kettle('test', file('demo.json'), '--record', file('broken.csv'))).toThrow(/line 2: “far”/);
  });

  it('spreads sets over a season, writes calendar and table, and refuses what is no day or no season', async () => {
    const parts: string[] = [];
    const outs = ['--json', file('s.json'), '--csv', file('s.csv'), '--ics', file('s.ics')];
    const code = await runCli(['season', file('demo.json'), '--today', '2027-09-01', ...outs], (part) => {
      parts.push(part);
    });
    expect(code).toBe(0);
    const text = parts.join('');
    expect(text).toMatch(/^Club season 2027: 6 sessions from 2027-09-01 on\n/);
    expect(text).toMatch(/Front left inner pad: \d\.\d more at Anvil Park \(/);
    expect(text).toContain('A prediction is no proof.');
    expect(JSON.parse(readFileSync(file('s.json'), 'utf8')).events).toHaveLength(2);
    expect(readFileSync(file('s.csv'), 'utf8').trim().split('\r\n')).toHaveLength(7);
    expect(readFileSync(file('s.ics'), 'utf8')).toContain('SUMMARY:Finale');
    const asked = (...args: string[]) => runCli(['season', file('demo.json'), ...args], () => {});
    await expect(asked('--today', 'soon')).rejects.toThrow('"soon" is no day');
    await expect(asked('--season', 'other')).rejects.toThrow('season-2027: Club season 2027');
  });

  it('writes a bench programme with units in its headings, and as JSON by its published schema', () => {
    const { code, text } = kettle(
      'bench-programme',
      file('demo.json'),
      '--wheel',
      'rearLeft',
      '--csv',
      file('b.csv'),
      '--json',
      file('b.json'),
    );
    expect(code).toBe(0);
    expect(text).toMatch(/Inertia \d+\.\d kg·m²/);
    const csv = readFileSync(file('b.csv'), 'utf8');
    expect(csv).toMatch(/^Bench programme,/);
    expect(csv).toMatch(/\nWheel,rearLeft\n/);
    expect(csv).toMatch(/From \(rev\/min\),To \(rev\/min\),Duration \(s\),Torque \(N·m\)/);
    const json = JSON.parse(readFileSync(file('b.json'), 'utf8'));
    const schema = JSON.parse(kettle('schema', 'bench-programme').text);
    const validate = new Ajv2020({ strict: false }).compile(schema);
    expect([validate(json), validate.errors]).toEqual([true, null]);
    expect(json.stops.length).toBe(csv.trim().split('\n').length - 11);
    expect(() => kettle('bench-programme', file('demo.json'), '--wheel', 'fifth')).toThrow(
      /frontLeft, frontRight/,
    );
    const [test] = demoProject.tests;
    const tiny = { ...test, bench: { ...test.bench, speedRpm: 700, mostInertia: 20 } };
    writeFileSync(file('tiny.json'), writeProject({ ...demoProject, tests: [tiny] }));
    expect(kettle('bench-programme', file('tiny.json')).text).toMatch(/made in parts/);
    const none = { ...test, bench: { ...test.bench, speedRpm: 60, mostInertia: 5 } };
    writeFileSync(file('none.json'), writeProject({ ...demoProject, tests: [none] }));
    expect(() => kettle('bench-programme', file('none.json'))).toThrow(/parts of a stop.*at most 30/);
  });
});
