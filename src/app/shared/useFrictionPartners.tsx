import { type ReactNode, useState } from 'react';
import { type Car, padOf, ROTOR_MATERIALS, wrongPartner } from '../../model';
import { say } from '../../text/en/say/shared';
import { useProject } from '../state/context';
import { type AxleProps, title } from './axleFields';

type Brakes = Car['front'];
type Chosen = 'pad' | 'material';

/** What goes with carbon, and what with everything else, where nothing is fitted yet. */
const USUAL = {
  carbonPad: 'carbon-pair',
  ironPad: 'sprint',
  carbon: 'carbon-carbon',
  iron: 'grey-iron',
} as const;

/** Pads and disc of an axle, which must go together: one that does not is refused, with both as the way out. */
export function useFrictionPartners({ editing, axle }: AxleProps) {
  const { parts } = useProject();
  const brakes = editing.item[axle];
  const [refused, setRefused] = useState<{ of: Chosen; before: Brakes; both: Brakes } | null>(null);
  const put = (next: Brakes, what: string) => {
    setRefused(null);
    editing.set([axle], next, `${title(axle)} ${what}`);
  };
  const choose = (of: Chosen, next: Brakes, partner: Partial<Pick<Brakes, 'pad' | 'rotor'>>) => {
    if (!wrongPartner(next, parts)) return put(next, of === 'pad' ? 'pad' : 'rotor material');
    setRefused({ of, before: brakes, both: { ...next, ...partner } });
  };
  return {
    choosePad: (pad: string) => {
      const next = { ...brakes, pad };
      const material = wrongPartner(next, parts) === 'rotors' ? USUAL.carbon : USUAL.iron;
      choose('pad', next, { rotor: { ...brakes.rotor, material } });
    },
    chooseMaterial: (material: Brakes['rotor']['material']) => {
      const pad = material === 'carbon-carbon' ? USUAL.carbonPad : USUAL.ironPad;
      choose('material', { ...brakes, rotor: { ...brakes.rotor, material } }, { pad });
    },
    /** Under the list whose choice was refused, until something else is chosen. */
    refusal: (of: Chosen): ReactNode => {
      if (refused?.of !== of || refused.before !== brakes) return null;
      const { pad, rotor } = refused.both;
      const names = [padOf(pad, parts).name, ROTOR_MATERIALS[rotor.material].name] as const;
      return (
        <>
          {say.carbonOnCarbon}{' '}
          <button
            type="button"
            className="btn mr-1 min-h-[26px] px-2"
            onClick={() => put(refused.both, 'pads and rotors')}
          >
            {say.fitBoth(...names)}
          </button>
          <button type="button" className="underline" onClick={() => setRefused(null)}>
            Leave it
          </button>
        </>
      );
    },
  };
}
