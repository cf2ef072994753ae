import type { ReactNode } from 'react';
import type { Pedal } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { PointRows } from '../../shared/PointRows';
import { Field, Section } from '../../shared/Section';
import { SelectField } from '../../ui/SelectField';
import { FitPart } from './BrakeSections';
import type { TabProps } from './tabProps';

/** A field of the pedal and what is behind it. */
type PedalField = (...path: string[]) => ReactNode;

export function PedalSections({ editing }: TabProps) {
  const field: PedalField = (...path) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={['pedal', ...path]} />
  );
  return (
    <>
      <div id="pedal" className="scroll-mt-16">
        <Section title="Pedal and driver">
          {['ratio', 'efficiencyPercent', 'limitN', 'travelMm', 'freeTravelMm'].map((key) => field(key))}
        </Section>
      </div>
      <div id="booster" className="scroll-mt-16">
        <BoosterSection editing={editing} field={field} />
      </div>
      <div id="cylinders" className="scroll-mt-16">
        <CylinderSection editing={editing} field={field} />
      </div>
      <div id="valve" className="scroll-mt-16">
        <ValveSection editing={editing} field={field} />
      </div>
      <div id="lines" className="scroll-mt-16">
        <Section title="Lines, fluid and recovery">
          {field('hoseLengthMm')}
          {field('hoseExpansionMm3BarM')}
          <FitPart editing={editing} kind="line" axle="front" label="Fit hoses" />
          <FitPart editing={editing} kind="fluid" axle="front" label="Fill another fluid" />
          <Recovery editing={editing} />
        </Section>
      </div>
    </>
  );
}

/** The cylinders of another kind, keeping what both have. */
export function cylindersAs(kind: Pedal['cylinders']['kind'], now: Pedal['cylinders']): Pedal['cylinders'] {
  if (kind === now.kind) return now;
  const { strokeMm } = now;
  if (kind === 'pair') {
    return { kind, frontBoreMm: 17.8, rearBoreMm: 19.1, strokeMm, frontPushPercent: 50, clickPercent: 0.5 };
  }
  return { ...(now.kind === 'pair' ? TANDEM : now), kind, strokeMm };
}

export const TANDEM: Extract<Pedal['cylinders'], { boreMm: number }> = {
  kind: 'tandem',
  boreMm: 22.2,
  strokeMm: 36,
  split: 'front-rear',
};

export function Recovery({ editing }: TabProps) {
  const { recovery } = editing.item;
  return (
    <>
      <SelectField
        label="Energy recovery"
        value={recovery ? recovery.axle : 'none'}
        options={[
          ['none', 'None'],
          ['front', 'At the front'],
          ['rear', 'At the rear'],
        ]}
        onChange={(axle) =>
          editing.set(
            ['recovery'],
            axle === 'none'
              ? null
              : { powerKw: 60, lowestSpeedKmh: 12, blending: 'blended', derating: [], ...recovery, axle },
            'Energy recovery',
          )
        }
      />
      {recovery && (
        <SelectField
          label="With the friction brakes"
          value={recovery.blending}
          options={[
            ['blended', 'They give way by as much'],
            ['added', 'On top of them'],
          ]}
          onChange={(blending) => editing.set(['recovery', 'blending'], blending, 'Blending')}
          note={say.topPedalLighterBalance}
        />
      )}
      {recovery &&
        ['powerKw', 'lowestSpeedKmh'].map((key) => (
          <Field key={key} shelf="cars" editing={editing} path={['recovery', key]} />
        ))}
      {recovery && (
        <div>
          <PointRows
            editing={editing}
            shelf="cars"
            path={['recovery', 'derating']}
            points={recovery.derating}
            columns={[
              ['takenKwh', 'Energy taken'],
              ['powerPercent', 'Power left'],
            ]}
            caption={say.deratingCaption}
            what="Derating of recovery"
            least={0}
            most={12}
            another={(last) => ({
              takenKwh: last ? last.takenKwh + 1 : 0,
              powerPercent: last?.powerPercent ?? 100,
            })}
          />
          <p className="caption mt-1">{say.deratingNote}</p>
        </div>
      )}
    </>
  );
}

/** What helps the foot. */
function BoosterSection({ editing, field }: TabProps & { field: PedalField }) {
  const { booster } = editing.item.pedal;
  return (
    <Section title="Booster">
      <SelectField
        label="Booster"
        value={booster ? 'yes' : 'none'}
        options={[
          ['none', 'None'],
          ['yes', 'With a booster'],
        ]}
        onChange={(value) =>
          editing.set(['pedal', 'booster'], value === 'none' ? null : { gain: 5, kneeN: 1100 }, 'Booster')
        }
        note={say.helpsUpKneeBeyond}
      />
      {booster && field('booster', 'gain')}
      {booster && field('booster', 'kneeN')}
    </Section>
  );
}

/** One cylinder, a tandem, or two with a balance bar. */
function CylinderSection({ editing, field }: TabProps & { field: PedalField }) {
  const { cylinders } = editing.item.pedal;
  return (
    <Section title="Master cylinders">
      <SelectField
        label="Kind"
        value={cylinders.kind}
        options={[
          ['tandem', 'Tandem: two circuits in one bore'],
          ['pair', 'Two with a balance bar'],
          ['single', 'One circuit only'],
        ]}
        onChange={(kind) =>
          editing.set(['pedal', 'cylinders'], cylindersAs(kind, cylinders), 'Master cylinders')
        }
        note={cylinders.kind === 'single' ? say.oneCircuitLeakLeaves : undefined}
      />
      {cylinders.kind === 'tandem' && (
        <SelectField
          label="Circuits"
          value={cylinders.split}
          options={[
            ['front-rear', 'Front and rear'],
            ['diagonal', 'Diagonal'],
          ]}
          onChange={(split) => editing.set(['pedal', 'cylinders', 'split'], split, 'Circuits')}
        />
      )}
      {cylinders.kind === 'pair'
        ? ['frontBoreMm', 'rearBoreMm', 'strokeMm', 'frontPushPercent', 'clickPercent'].map((key) =>
            field('cylinders', key),
          )
        : ['boreMm', 'strokeMm'].map((key) => field('cylinders', key))}
      {cylinders.kind === 'pair' ? (
        <>
          <FitPart editing={editing} kind="cylinder" axle="front" label="Fit a front cylinder" />
          <FitPart editing={editing} kind="cylinder" axle="rear" label="Fit a rear cylinder" />
        </>
      ) : (
        <FitPart editing={editing} kind="cylinder" axle="front" label="Fit a cylinder" />
      )}
      <Field shelf="cars" editing={editing} path={['frontSharePercent']} />
    </Section>
  );
}

/** What takes pressure off the rear. */
function ValveSection({ editing, field }: TabProps & { field: PedalField }) {
  const { valve } = editing.item.pedal;
  return (
    <Section title="Proportioning valve">
      <SelectField
        label="Valve"
        value={valve?.kind ?? 'none'}
        options={[
          ['none', 'None'],
          ['fixed', 'Fixed knee point'],
          ['load', 'Senses the rear load'],
        ]}
        onChange={(kind) => editing.set(['pedal', 'valve'], valveAs(kind, valve), 'Proportioning valve')}
        note={say.tallerStifferRearSpring}
      />
      {valve && ['kneeBar', 'slopePercent'].map((key) => field('valve', key))}
      {valve?.kind === 'load' && ['barPerKn', 'missedKn'].map((key) => field('valve', key))}
    </Section>
  );
}

/** The valve of another kind, keeping what both have. */
function valveAs(kind: 'none' | 'fixed' | 'load', now: Pedal['valve']): Pedal['valve'] {
  const { kneeBar, slopePercent } = now ?? { kneeBar: 30, slopePercent: 35 };
  if (kind === 'none') return null;
  return kind === 'fixed'
    ? { kind, kneeBar, slopePercent }
    : { kind, kneeBar, slopePercent, barPerKn: 8, missedKn: 0 };
}
