import type { CoolingDoubt } from '../../core';

const percentText = (front: number, rear: number): string => {
  const [a, b] = [front, rear].map((share) => Math.round(100 * share));
  return a === b ? `${a} %` : `${a} % front, ${b} % rear`;
};

/** "30 % less cooling", or by axle where they differ. */
export const lessText = ({ less }: CoolingDoubt): string =>
  less.front === less.rear
    ? `${percentText(1 - less.front, 1 - less.rear)} less cooling`
    : `less cooling (${percentText(1 - less.front, 1 - less.rear)})`;

/** "30 % more cooling", or by axle where they differ. */
export const moreText = ({ more }: CoolingDoubt): string =>
  more.front === more.rear
    ? `${percentText(more.front - 1, more.rear - 1)} more cooling`
    : `more cooling (${percentText(more.front - 1, more.rear - 1)})`;

/** How far cooling is off at most, either way: "±30 %". */
export const doubtText = ({ less, more }: CoolingDoubt): string =>
  `±${percentText(Math.max(1 - less.front, more.front - 1), Math.max(1 - less.rear, more.rear - 1))}`;

/** Stands beside every verdict. */
export const doubtNote = (doubt: CoolingDoubt): string =>
  `${
    doubt.calibrated === null
      ? `Not calibrated on this car: cooling is uncertain by about ${doubtText(doubt)}.`
      : `Calibrated on this car (${doubt.calibrated}): cooling is uncertain by about ${doubtText(doubt)}.`
  } A prediction is no proof that brakes will hold.`;
