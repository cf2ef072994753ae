import type { Corner } from './parts';

/** Inboard and outboard half of a disc brake in its network, or both as one. */
export interface BrakeSide {
  /** Begins the names of its nodes: the outer side's are those of both as one */
  readonly prefix: '' | 'inner ';
  /** Part of cheeks, edges and pads that it has, 0 to 1 */
  readonly share: number;
  /** Passing air on its face, blown air on it, and what of the surroundings it sees, over the mean of both sides, 1 */
  readonly air: number;
  readonly blown: number;
  readonly view: number;
  /** Part of the pistons that stand on its pad, and of the body that holds its plate, 0 to 1 */
  readonly pistons: number;
  readonly body: number;
  /** Whether the bell (hat) hangs on its cheek, and the hose sees its face */
  readonly bell: boolean;
  readonly hose: boolean;
}

const BOTH: readonly BrakeSide[] = [
  { prefix: '', share: 1, air: 1, blown: 1, view: 1, pistons: 1, body: 1, bell: true, hose: true },
];

/**
 * Sides of a brake. Apart, the outer face has the wheel before it, 0.6 to 1.4 of the air as it is closed or open, and the
 * inner one the dust shield, which keeps 0.6 of the air and 0.7 of the view from what it covers; their means are those of
 * both as one. A duct blows onto the inner face, the bell hangs on the outer cheek. The pistons of a sliding caliper
 * stand on the inner pad, its body holds the outer one. (All from memory.)
 */
export function sidesOf({ sides, drum, air, caliper }: Corner): readonly BrakeSide[] {
  if (sides === 'together' || drum) return BOTH;
  const [outer, inner] = [0.6 + 0.8 * air.wheelOpenArea, 1 - 0.6 * air.shield];
  const mean = 0.5 * (outer + inner);
  const seen = 1 - 0.35 * air.shield;
  const half = { share: 0.5, pistons: caliper.sliding ? 0 : 0.5, body: caliper.sliding ? 1 : 0.5 };
  return [
    { ...half, prefix: '', air: outer / mean, blown: 0, view: 1 / seen, bell: true, hose: false },
    {
      ...half,
      prefix: 'inner ',
      air: inner / mean,
      blown: 2,
      view: (1 - 0.7 * air.shield) / seen,
      pistons: 1 - half.pistons,
      body: 1 - half.body,
      bell: false,
      hose: true,
    },
  ];
}
