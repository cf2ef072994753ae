import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { STEFAN_BOLTZMANN } from '../constants';
import { uniformTable } from '../numeric';
import { gradedSlab } from './grid';
import { Integrator } from './integrator';
import { AMBIENT, type NetworkLink, type NetworkNode } from './network';

interface Slab {
  thickness: number;
  k: number;
  density: number;
  c: number;
  points: number;
  growth?: number;
}

/** A slab of one square metre as a network; the source heats its first point. */
function slab({ thickness, k, density, c, points, growth = 1 }: Slab) {
  const grid = gradedSlab(thickness, points, growth);
  const nodes: NetworkNode[] = [...grid.width].map((w, i) => ({
    name: `x${i}`,
    group: 'any',
    scale: density * c * w,
    table: null,
  }));
  const links: NetworkLink[] = [];
  for (let i = 1; i < points; i++) {
    const coefficient = k / (grid.depth[i] - grid.depth[i - 1]);
    links.push({
      from: i - 1,
      to: i,
      coefficient,
      channel: 0,
      factor: null,
      radiation: 0,
      path: 'conduction',
    });
  }
  return { grid, nodes, links };
}

const IRON = { k: 50, density: 7200, c: 500 };
const FLUX = 2e6;

function heatedSlab(thickness: number, points: number, growth: number) {
  const { nodes, links } = slab({ ...IRON, thickness, points, growth });
  return new Integrator({ nodes, links, sources: [{ node: 0, share: 1 }], channels: 1 }, 300, 300);
}

describe('conduction and radiation against published solutions', () => {
  it('follows a sine at one end: NAFEMS benchmark T3, 36.60 °C', () => {
    // The driven end is a huge mass that a source holds to the sine, so the same integrator serves unchanged.
    const { nodes, links } = slab({ thickness: 0.1, k: 35, density: 7200, c: 440.5, points: 41 });
    const huge = 1e12;
    nodes[0] = { name: 'cold end', group: 'any', scale: huge, table: null };
    nodes[40] = { name: 'driven end', group: 'any', scale: huge, table: null };
    const run = new Integrator({ nodes, links, sources: [{ node: 40, share: 1 }], channels: 1 }, 0, 0);
    const dt = 0.1;
    const slope = (t: number) => huge * 100 * (Math.PI / 40) * Math.cos((Math.PI * t) / 40);
    const gamma = 1 - Math.SQRT1_2;
    for (let i = 0; i < 320; i++) run.step(dt, slope((i + gamma) * dt), slope((i + 1) * dt));
    expect(run.temperature(40)).toBeCloseTo(100 * Math.sin((Math.PI * 32) / 40), 1);
    expect(Math.abs(run.temperature(32) - 36.6)).toBeLessThan(0.1);
    recordFigure({
      id: '1',
      what: 'Transient conduction under a sine',
      expected: '36.60',
      computed: run.temperature(32),
      unit: '°C',
      source: 'NAFEMS benchmark T3',
    });
  });

  it('radiates from one end: NAFEMS benchmark T2, 927.0 K', () => {
    const { nodes, links } = slab({ thickness: 0.1, k: 55.6, density: 7850, c: 460, points: 21 });
    nodes[0] = { name: 'hot end', group: 'any', scale: 1e15, table: null };
    links.push({
      from: 20,
      to: AMBIENT,
      coefficient: 0,
      channel: 0,
      factor: null,
      radiation: 0.98 * STEFAN_BOLTZMANN,
      path: 'conduction',
    });
    const run = new Integrator({ nodes, links, sources: [], channels: 1 }, 300, 1000);
    for (let i = 0; i < 400; i++) run.step(20, 0, 0);
    expect(Math.abs(run.temperature(20) - 927.0)).toBeLessThan(0.1);
    recordFigure({
      id: '2',
      what: 'Conduction with radiation',
      expected: '927.0',
      computed: run.temperature(20),
      unit: 'K',
      source: 'NAFEMS benchmark T2',
    });
  });

  it('rises as a half-space under constant flux: Carslaw and Jaeger, 291.3 K after 3 s', () => {
    const run = heatedSlab(0.08, 60, 1.06);
    for (let i = 0; i < 60; i++) run.step(0.05, FLUX, FLUX);
    const exact = (2 * FLUX * Math.sqrt((IRON.k / (IRON.density * IRON.c)) * (3 / Math.PI))) / IRON.k;
    expect(exact).toBeCloseTo(291.3, 1);
    expect(Math.abs(run.temperature(0) - 300 - exact)).toBeLessThan(0.5);
    recordFigure({
      id: '3',
      what: 'Half-space under constant flux, 3 s',
      expected: '291.3',
      computed: run.temperature(0) - 300,
      unit: 'K',
      source: 'Carslaw and Jaeger, Conduction of Heat in Solids',
    });
  });

  it('rises as a finite slab insulated behind: Carslaw and Jaeger, 304.7 K after 3 s', () => {
    const thickness = 0.009;
    const fourier = ((IRON.k / (IRON.density * IRON.c)) * 3) / thickness ** 2;
    let series = 0;
    for (let n = 1; n < 50; n++) series += Math.exp(-n * n * Math.PI ** 2 * fourier) / n ** 2;
    const exact = ((FLUX * thickness) / IRON.k) * (fourier + 1 / 3 - (2 / Math.PI ** 2) * series);
    expect(exact).toBeCloseTo(304.7, 1);
    // The grid of a rotor's cheek, and one twice as fine.
    for (const [points, within] of [
      [10, 0.6],
      [19, 0.2],
    ]) {
      const run = heatedSlab(thickness, points, 2.8 ** (1 / (points - 2)));
      for (let i = 0; i < 60; i++) run.step(0.05, FLUX, FLUX);
      expect(Math.abs(run.temperature(0) - 300 - exact)).toBeLessThan(within);
      recordFigure({
        id: '4',
        what: `Finite slab insulated behind, ${points} points`,
        expected: '304.7',
        computed: run.temperature(0) - 300,
        unit: 'K',
        source: 'Carslaw and Jaeger, Conduction of Heat in Solids',
      });
    }
  });

  it('peaks at half the stop under a flux falling to zero: Fazekas 1953, in Limpert, 137.3 K', () => {
    const run = heatedSlab(0.08, 60, 1.06);
    const dt = 0.025;
    const gamma = 1 - Math.SQRT1_2;
    let [peak, at] = [0, 0];
    for (let i = 0; i < 120; i++) {
      run.step(dt, FLUX * (1 - ((i + gamma) * dt) / 3), FLUX * (1 - ((i + 1) * dt) / 3));
      if (run.temperature(0) - 300 > peak) [peak, at] = [run.temperature(0) - 300, (i + 1) * dt];
    }
    const effusivity = Math.sqrt(IRON.k * IRON.density * IRON.c);
    const exact = ((4 / 3 / Math.sqrt(2 * Math.PI)) * FLUX * Math.sqrt(3)) / effusivity;
    expect(exact).toBeCloseTo(137.3, 0);
    expect(Math.abs(peak - exact)).toBeLessThan(0.5);
    expect(Math.abs(at - 1.5)).toBeLessThan(0.06);
    recordFigure({
      id: '5',
      what: 'One stop, flux falling to zero: peak',
      expected: '137.3',
      computed: peak,
      unit: 'K',
      source: 'Fazekas 1953, in Limpert',
    });
  });

  it('keeps every joule while the heat capacity varies', () => {
    const table = uniformTable([
      [300, 450],
      [700, 650],
      [1000, 800],
    ]);
    const { nodes, links } = slab({ thickness: 0.01, k: 45, density: 7200, c: 1, points: 8, growth: 1.3 });
    const warm = nodes.map((node) => ({ ...node, table }));
    links.push({
      from: 0,
      to: AMBIENT,
      coefficient: 90,
      channel: 0,
      factor: null,
      radiation: 4e-8,
      path: 'radiation',
    });
    const run = new Integrator(
      { nodes: warm, links, sources: [{ node: 0, share: 1 }], channels: 1 },
      300,
      300,
    );
    for (let i = 0; i < 200; i++) run.step(i % 3 === 0 ? 0.5 : 0.1, i % 40 < 20 ? FLUX : 0, 0);
    expect(run.temperature(0)).toBeGreaterThan(600);
    expect(Math.abs(run.supplied - run.stored() - run.lost) / run.supplied).toBeLessThan(1e-8);
  });
});
