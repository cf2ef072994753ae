import type { AxleInput, AxleName, Corner } from '../brake';
import type { DayInput } from '../schedule';

const eachCorner = (axle: AxleInput, change: (corner: Corner) => Corner): AxleInput => {
  const left = change(axle.left);
  // What both sides share stays one object, so that they are seen to be alike.
  const right =
    axle.right.pad === axle.left.pad ? { ...left, air: change(axle.right).air } : change(axle.right);
  return { ...axle, left, right };
};
export const onAxle =
  (axle: AxleName, change: (corner: Corner, value: number) => Corner) => (day: DayInput, value: number) => ({
    ...day,
    [axle]: eachCorner(day[axle], (corner) => change(corner, value)),
  });
export const onBoth =
  (change: (corner: Corner, value: number) => Corner) =>
  (day: DayInput, value: number): DayInput => ({
    ...day,
    front: eachCorner(day.front, (corner) => change(corner, value)),
    rear: eachCorner(day.rear, (corner) => change(corner, value)),
  });

export const cooled = ({ air, ...corner }: Corner, value: number): Corner => ({
  ...corner,
  air: { ...air, coolingFactor: Math.max(0.05, air.coolingFactor * value) },
});
export const rubbed = ({ pad, ...corner }: Corner, value: number): Corner => ({
  ...corner,
  pad: {
    ...pad,
    friction: { ...pad.friction, values: pad.friction.values.map((mu) => Math.max(0.01, mu * value)) },
    nominalFriction: Math.max(0.01, pad.nominalFriction * value),
  },
});
/** One side up and the other down by the same factor: their mean (geometric) stays. */
export const sided = (axle: AxleName) => (day: DayInput, value: number) => {
  const { left, right } = day[axle];
  return {
    ...day,
    [axle]: {
      ...day[axle],
      left: cooled(left, Math.sqrt(value)),
      right: cooled(right, 1 / Math.sqrt(value)),
    },
  };
};
export const constant =
  (key: keyof Corner['constants']) =>
  ({ constants, ...corner }: Corner, value: number): Corner => ({
    ...corner,
    constants: { ...constants, [key]: constants[key] * value },
  });
export const bothGripUsed =
  (...which: readonly ('brakingGripUsed' | 'corneringGripUsed')[]) =>
  (day: DayInput, value: number): DayInput => ({
    ...day,
    driver: {
      ...day.driver,
      ...Object.fromEntries(which.map((key) => [key, Math.min(1, Math.max(0.05, day.driver[key] * value))])),
    },
  });

/** Grip that is used, whether the tyres have more or the driver takes more of it: a product that a log can tell. */
export const gripUsed =
  (key: 'brakingGripUsed' | 'corneringGripUsed') =>
  (day: DayInput, value: number): DayInput => ({
    ...day,
    driver: { ...day.driver, [key]: day.driver[key] * value },
  });

/** How a day's brakes begin, so much warmer. */
export function warmerStart({ start, sessions }: DayInput, by: number): DayInput['start'] {
  if (start === null) return sessions[0].ambient + by;
  if (typeof start === 'number') return start + by;
  return Object.fromEntries(
    Object.entries(start).map(([wheel, state]) => [
      wheel,
      {
        ...state,
        temperatures: Object.fromEntries(
          Object.entries(state.temperatures).map(([node, kelvin]) => [node, kelvin + by]),
        ),
      },
    ]),
  ) as DayInput['start'];
}
