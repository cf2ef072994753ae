import { type Change, changesProblem, type Setup } from '../../model';

/** What people usually weigh against each other, from the cheapest up. */
export const USUAL_SETUPS = ['pads', 'pads and rotors', 'rear discs', 'big kit'] as const;
export type UsualSetup = (typeof USUAL_SETUPS)[number];

const part = (id: string, axle: 'front' | 'rear' = 'front'): Change => ({ kind: 'part', part: id, axle });
const CHANGES: Readonly<Record<UsualSetup, readonly Change[]>> = {
  pads: [part('hillclimb')],
  'pads and rotors': [part('hillclimb'), part('rotor-slotted-330')],
  'rear discs': [
    part('rotor-solid-260', 'rear'),
    part('caliper-slide-34', 'rear'),
    part('hillclimb', 'rear'),
  ],
  'big kit': [part('hillclimb'), part('rotor-floating-355'), part('caliper-six')],
};

/** The usual setups of a car that has them not yet: rear discs for drums, a larger rotor where it is larger. */
export function usualSetups(
  setup: Setup,
): { readonly name: UsualSetup; readonly changes: readonly Change[] }[] {
  const { car } = setup;
  const fits = (name: UsualSetup) => {
    if (name === 'rear discs') return car.rear.drum !== null;
    if (name === 'big kit') return car.front.drum !== null || car.front.rotor.outerDiameterMm < 350;
    if (name === 'pads and rotors') return car.front.drum !== null || car.front.rotor.outerDiameterMm < 325;
    return car.front.pad !== 'hillclimb';
  };
  return USUAL_SETUPS.filter(fits)
    .map((name) => ({ name, changes: CHANGES[name] }))
    .filter(({ changes }) => changesProblem(setup, changes) === null);
}
