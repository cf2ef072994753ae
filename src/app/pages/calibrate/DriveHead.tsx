import { format, parseISO } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import {
  countDrive,
  deleteItem,
  fieldInfo,
  formatQuantity,
  lapLegSchema,
  renameItem,
  type StoredDrive,
} from '../../../model';
import { say } from '../../../text/en/say/calibrate';
import { NumberField } from '../../shared/NumberField';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { DayField } from '../../ui/DayField';
import { Disclosure } from '../../ui/Disclosure';
import { IconButton } from '../../ui/IconButton';
import { TextField } from '../../ui/TextField';

const LEGS = { out: 'Out laps', hot: 'Hot laps', cool: 'Cool-down laps' } as const;

/** What was driven and when; laps as they were counted. */
export function DriveHead({ drive }: { readonly drive: StoredDrive }) {
  const edit = useEdit();
  const units = useUnits();
  const navigate = useNavigate();
  const { plan, car, circuit } = drive;
  const counted = (session: number, leg: number, laps: number) => {
    edit(
      'Laps counted',
      (p) =>
        countDrive(
          p,
          drive.id,
          drive.date,
          plan.sessions.map((own, i) =>
            own.legs.map((one, k) => ('laps' in one ? (i === session && k === leg ? laps : one.laps) : null)),
          ),
        ),
      { key: `${drive.id}/laps/${session}/${leg}` },
    );
    return null;
  };
  return (
    <Disclosure
      className="panel px-4 py-2.5"
      open={drive.observations.length === 0}
      summary={
        <>
          {format(parseISO(drive.date), 'd MMM yyyy')}, {countedText(drive)}
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="w-[300px] max-w-full">
          <TextField
            label="Name"
            value={drive.name}
            longest={80}
            required
            onCommit={(name) =>
              edit('Renamed a drive', (p) => renameItem(p, 'drives', drive.id, name), {
                key: `${drive.id}/name`,
              })
            }
          />
        </div>
        <div className="w-[150px]">
          <DayField
            label="Date"
            value={drive.date}
            onChange={(date) => date && edit('Date of a drive', (p) => countDrive(p, drive.id, date, []))}
          />
        </div>
        <p className="caption min-w-0 flex-1">
          {car.name} at {circuit.name}, {formatQuantity(plan.sessions[0].ambientC, 'temperature', units)} air.{' '}
          {drive.log ? say.drivenByLog(drive.log.name) : say.copiedThen}
        </p>
        <IconButton
          icon={Trash2}
          name={`Delete ${drive.name}`}
          title="Delete"
          onClick={() => {
            edit('Deleted a drive', (p) => deleteItem(p, 'drives', drive.id), {
              done: `Deleted “${drive.name}”`,
            });
            navigate('/calibrate/readings', { replace: true });
          }}
        />
      </div>
      {!drive.log && (
        <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-2">
          {plan.sessions.flatMap((session, i) =>
            session.legs.map((leg, k) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: legs have no other name, and none is moved here
              <li key={`${i} ${k}`} className="min-w-[116px]">
                {'laps' in leg ? (
                  <NumberField
                    label={`${plan.sessions.length > 1 ? `${session.name}: ` : ''}${LEGS[leg.kind]}`}
                    info={fieldInfo(lapLegSchema.shape.laps)}
                    value={leg.laps}
                    onCommit={(laps) => (laps === null ? null : counted(i, k, laps))}
                  />
                ) : (
                  <p className="pt-6 text-dim">
                    then {formatQuantity(leg.minutes, 'minutes', units)} standing
                  </p>
                )}
              </li>
            )),
          )}
        </ul>
      )}
    </Disclosure>
  );
}

/** "1 out lap, 7 hot laps, 1 cool-down lap", or that a log has it. */
function countedText({ log, plan }: StoredDrive): string {
  if (log) return `driven as “${log.name}”`;
  return plan.sessions
    .flatMap(({ legs }) =>
      legs.flatMap((leg) =>
        'laps' in leg ? [`${leg.laps} ${WORDS[leg.kind]}${leg.laps === 1 ? '' : 's'}`] : [],
      ),
    )
    .join(', ');
}
const WORDS = { out: 'out lap', hot: 'hot lap', cool: 'cool-down lap' } as const;
