import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { driveLap, prepareCircuit } from '../../core';
import { dayInput, setupOf } from '../../model';
import { driveWith, fitLap } from './fitLap';

describe('a lap driven with other grip and power', () => {
  it.each(['plan-tarn-anvil', 'plan-skarn-fen', 'plan-ovel-nettle'])('of %s gives them back', (plan) => {
    const input = dayInput(setupOf(demoProject, plan));
    const truth = [0.94, 0.9, 1.12];
    const driven = driveLap(
      prepareCircuit(input.circuit),
      { ...input.vehicle, power: input.vehicle.power * truth[2] },
      {
        ...input.driver,
        pace: 1,
        corneringGripUsed: input.driver.corneringGripUsed * truth[0],
        brakingGripUsed: input.driver.brakingGripUsed * truth[1],
      },
      { airDensity: 1.2, ductDragArea: 0 },
    );
    const fit = fitLap(input, driven, 1.2, 0);
    expect(fit.settled).toBe(true);
    [fit.cornering, fit.braking, fit.power].forEach((fitted, i) => {
      expect(Math.abs(fitted.factor / truth[i] - 1)).toBeLessThan(0.02);
      expect(fitted.atLimit).toBe(false);
      expect(fitted.uncertainty).toBeLessThan(0.05);
    });
    expect(fit.after.speed).toBeLessThan(0.15 * fit.before.speed);
    expect(Math.abs(fit.after.time)).toBeLessThan(0.3);
  });
  it('with more power than is looked for is said to be out of reach', () => {
    const input = dayInput(setupOf(demoProject));
    const { vehicle } = input;
    const strong = { ...input, vehicle: { ...vehicle, power: 3.4 * vehicle.power } };
    const driven = driveWith(strong, [1, 1, 1], 1.2, 0);
    expect(fitLap(input, driven, 1.2, 0).power.atLimit).toBe(true);
  });
});
