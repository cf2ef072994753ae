import { Link, useParams } from 'react-router';
import {
  type Car,
  choices,
  countOrigins,
  fluidBoilingPointC,
  fluidOf,
  fluidWater,
  formatQuantity,
} from '../../../model';
import { say } from '../../../text/en/say/editors';
import { AxleSections } from '../../shared/AxleSections';
import { OriginMark } from '../../shared/OriginMark';
import { PointRows } from '../../shared/PointRows';
import { Field, Section } from '../../shared/Section';
import { useFieldOfHash } from '../../shared/useFieldOfHash';
import { useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Editing, useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { Missing, PageHead } from './PageHead';

/** How many of the car's values are its own, and the way to what should be found out next. */
function OriginCount({ car }: { readonly car: Car }) {
  const { all, assumed, typed, measured, calibrated } = countOrigins(car);
  const yours = all - assumed;
  return (
    <section
      className="panel flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2"
      aria-label="Where the values come from"
    >
      <p data-testid="origins">
        <strong className="font-[650]">{say.originsYours(yours, all)}</strong>{' '}
        <span className="text-dim">{say.originsSplit(typed, measured, calibrated, assumed)}</span>
      </p>
      <Link className="btn ml-auto" to="/decide/find-out">
        What to find out next
      </Link>
    </section>
  );
}

/** A car and its brakes. */
export function CarPage() {
  const setup = useSetup();
  const { id = setup.car.id } = useParams();
  const editing = useItem('cars', id);
  useFieldOfHash();
  if (!editing) return <Missing what="car" id={id} />;
  return <CarForm key={id} editing={editing} />;
}

function CarForm({ editing }: { editing: Editing<'cars'> }) {
  const { item: car } = editing;
  const { parts } = useProject();
  const fluid = fluidOf(car.fluid.kind, parts);
  const units = useUnits();
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={path} />
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageHead shelf="cars" item={car} />
      <OriginCount car={car} />
      <Section title="The car as driven">
        <TextField
          label="Name"
          value={car.name}
          longest={80}
          required
          onCommit={(name) => editing.set(['name'], name, 'Name of the car')}
        />
        {field('massKg')}
        {field('powerKw')}
        <SelectField
          label="Engine"
          place="intake"
          mark={<OriginMark shelf="cars" editing={editing} path={['intake']} />}
          value={car.intake}
          options={[
            ['natural', 'Naturally aspirated'],
            ['supercharged', 'Turbocharged or supercharged'],
            ['electric', 'Electric motor'],
          ]}
          onChange={(intake) => editing.set(['intake'], intake, 'Engine')}
          note={say.thinAirPower}
        />
        {field('drivenSharePercent')}
        {field('dragAreaM2')}
        {field('downforceAreaM2')}
        {field('rollingResistancePercent')}
        {field('rotatingInertia')}
        {field('engineBrakingN')}
        <SpeedCurve editing={editing} of="powerCurve" />
        <SpeedCurve editing={editing} of="engineBrakingCurve" />
        {field('gravityHeightMm')}
        {field('trackWidthMm')}
        {field('wheelbaseMm')}
        {field('frontWeightPercent')}
        {field('frontDownforcePercent')}
      </Section>
      <Section title="Tyres">
        {[
          'lateralGrip',
          'longitudinalGrip',
          'loadSensitivityPercent',
          'slipSharePercent',
          'rollingRadiusMm',
        ].map((key) => field('tyres', key))}
      </Section>
      <Section
        title="Braking"
        note={
          <>
            {say.pedalCylindersCalipersBalance}
            <Link className="underline" to="/garage">
              garage
            </Link>
            {say.carSelectedPlan}
          </>
        }
      >
        <CheckField checked={car.abs} onChange={(abs) => editing.set(['abs'], abs, 'Anti-lock brakes')}>
          {say.antiLock}
        </CheckField>
        {field('frontSharePercent')}
        {field('loadFollowingPercent')}
      </Section>
      <Section title="Brake fluid">
        <SelectField
          label="Fluid"
          place="fluid.kind"
          mark={<OriginMark shelf="cars" editing={editing} path={['fluid', 'kind']} />}
          value={car.fluid.kind}
          options={choices('fluid', parts)}
          onChange={(kind) => editing.set(['fluid', 'kind'], kind, 'Brake fluid')}
          note={say.todayWaterBoilsSource(
            fluid.note,
            fluidWater(car, parts).toFixed(1),
            formatQuantity(fluidBoilingPointC(car, parts), 'temperature', units),
            fluid.source,
          )}
        />
        {field('fluid', 'ageMonths')}
        {field('fluid', 'waterFirstYearPercent')}
        {field('fluid', 'measuredBoilingC')}
        {fluid.silicone && (
          <CheckField
            checked={car.fluid.freeWater}
            onChange={(found) => editing.set(['fluid', 'freeWater'], found, 'Free water in the fluid')}
          >
            {say.freeWaterFound}
          </CheckField>
        )}
      </Section>
      <AxleSections editing={editing} axle="front" />
      <AxleSections editing={editing} axle="rear" />
    </div>
  );
}

const CURVES = {
  powerCurve: { caption: say.powerCurveCaption, note: say.powerCurveNote, column: 'Power' },
  engineBrakingCurve: {
    caption: say.engineBrakingCurveCaption,
    note: say.engineBrakingCurveNote,
    column: 'Engine braking',
  },
} as const;

/** How a figure of the engine changes with speed: none where it does not. */
function SpeedCurve({
  editing,
  of,
}: {
  readonly editing: Editing<'cars'>;
  readonly of: 'powerCurve' | 'engineBrakingCurve';
}) {
  const { caption, note, column } = CURVES[of];
  return (
    <div>
      <PointRows
        editing={editing}
        shelf="cars"
        path={[of]}
        points={editing.item[of]}
        columns={[
          ['speedKmh', 'Speed'],
          ['sharePercent', column],
        ]}
        caption={caption}
        what={caption}
        least={0}
        most={20}
        another={(last) => ({ speedKmh: last ? last.speedKmh + 40 : 40, sharePercent: 100 })}
      />
      <p className="caption mt-1">{note}</p>
    </div>
  );
}
