/** What a pad costs beside money, in words. @param pad scores from 1 little to 5 much */
export function padTradesText(pad: {
  readonly dust: number;
  readonly noise: number;
  readonly rotorWear: number;
}): string {
  return `dust ${pad.dust}, noise ${pad.noise}, rotor wear ${pad.rotorWear} of 5`;
}
