import type { AxleName, WheelName } from '../../core';
import type { WheelFound } from '../../model';

/** What must be done about it: not driven on, put right before the next session, watched, or only known. */
export type Weight = 'stop' | 'renew' | 'watch' | 'fine';

/** Something that an inspection tells; wording is the text layer's. Lengths in mm. */
export type InspectionFinding = { readonly weight: Weight } & (
  | {
      readonly kind: 'thin';
      readonly wheel: WheelName;
      readonly part: 'inner' | 'outer' | 'rotor';
      readonly mm: number;
      /** Null where no minimum is known */
      readonly leastMm: number | null;
    }
  | {
      readonly kind: 'taper';
      readonly wheel: WheelName;
      readonly pad: 'inner' | 'outer';
      readonly mm: number;
    }
  | {
      readonly kind: 'inner and outer';
      readonly wheel: WheelName;
      readonly thinner: 'inner' | 'outer';
      readonly mm: number;
      readonly sliding: boolean;
    }
  | {
      readonly kind: 'left and right';
      readonly axle: AxleName;
      readonly thinner: WheelName;
      readonly mm: number;
    }
  | { readonly kind: 'uneven rotor'; readonly wheel: WheelName; readonly mm: number }
  | { readonly kind: 'runout'; readonly wheel: WheelName; readonly mm: number }
  | { readonly kind: 'growth'; readonly wheel: WheelName; readonly mm: number }
  | {
      readonly kind: 'crack';
      readonly wheel: WheelName;
      readonly place: WheelFound['cracks'][number]['place'];
      readonly mm: number;
      readonly why: 'edge' | 'joins' | 'bell' | 'long' | 'short';
    }
  | { readonly kind: 'smear' | 'blue spots'; readonly wheel: WheelName }
  | {
      readonly kind: 'slides' | 'boots' | 'leads' | 'hose' | 'sleeves';
      readonly wheel: WheelName;
      readonly state: string;
    }
  | { readonly kind: 'level' | 'leaks'; readonly state: string }
  | { readonly kind: 'colour'; readonly state: string }
  | {
      readonly kind: 'thicker than before';
      readonly wheel: WheelName;
      readonly part: 'inner' | 'outer' | 'rotor';
      readonly mm: number;
      readonly beforeMm: number;
    }
  | {
      readonly kind: 'reads like inches';
      readonly wheel: WheelName;
      readonly part: 'inner' | 'outer' | 'rotor';
      readonly mm: number;
      readonly asReadMm: number;
    }
  | { readonly kind: 'not looked at'; readonly what: readonly string[] }
);
