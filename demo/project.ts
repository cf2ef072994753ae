import type { Plan, Project } from '../src/project';
import { PROJECT_FORMAT, PROJECT_VERSION } from '../src/project';
import { ovel, skarn, tarn } from './cars';
import { anvilPark, longFen, nettleGlen } from './circuits';

const evening: Omit<Plan, 'id' | 'name' | 'carId' | 'circuitId' | 'hotLaps'> = {
  outLaps: 1,
  outPacePercent: 65,
  coolDownLaps: 1,
  coolDownPacePercent: 40,
  paddockMin: 30,
  ambientC: 24,
  humidityPercent: 55,
  brakingCommitmentPercent: 86,
  corneringCommitmentPercent: 92,
  brakeBuildUpS: 0.25,
};

/** The invented scenario: three cars, three circuits, and the plans of a two-person team. */
export const demoProject: Project = {
  format: PROJECT_FORMAT,
  version: PROJECT_VERSION,
  name: 'Imke and Tomas, this season',
  cars: [tarn, ovel, skarn],
  circuits: [anvilPark, nettleGlen, longFen],
  plans: [
    {
      id: 'plan-tarn-anvil',
      name: 'Twenty minutes at Anvil Park',
      carId: tarn.id,
      circuitId: anvilPark.id,
      hotLaps: 11,
      ...evening,
    },
    {
      id: 'plan-ovel-nettle',
      name: 'First track day, Nettle Glen',
      carId: ovel.id,
      circuitId: nettleGlen.id,
      hotLaps: 7,
      ...evening,
      brakingCommitmentPercent: 66,
      corneringCommitmentPercent: 78,
    },
    {
      id: 'plan-skarn-fen',
      name: 'Prototype stint, Long Fen',
      carId: skarn.id,
      circuitId: longFen.id,
      hotLaps: 12,
      ...evening,
      ambientC: 18,
      brakingCommitmentPercent: 94,
    },
    {
      id: 'plan-tarn-fen',
      name: 'Tarn at Long Fen',
      carId: tarn.id,
      circuitId: longFen.id,
      hotLaps: 8,
      ...evening,
      ambientC: 19,
    },
  ],
  selectedPlanId: 'plan-tarn-anvil',
};
