import { useState } from 'react';
import * as z from 'zod/mini';
import { formatQuantity, type Plan, setWeather } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { useStandIns } from '../../state/useStandIns';
import { CaptionedDay } from '../../ui/DayField';
import { ownAddress } from '../../ui/ownAddress';
import { toast } from '../../ui/toast';

/** What a weather service answers; checked, as it comes from outside. */
const answerSchema = z.object({
  simulated: z.optional(z.boolean()),
  hours: z
    .array(
      z.object({
        time: z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/)),
        temperatureC: z.number().check(z.gte(-60), z.lte(60)),
        pressureHpa: z.number().check(z.gte(400), z.lte(1100)),
        humidityPercent: z.number().check(z.gte(0), z.lte(100)),
        windKmh: z.number().check(z.gte(0), z.lte(300)),
        windFromDeg: z.number().check(z.gte(0), z.lte(360)),
      }),
    )
    .check(z.minLength(1)),
});
type Hour = z.infer<typeof answerSchema>['hours'][number];

/** Hour at which a session is taken to begin: from nine, two hours apart. */
const hourOf = (session: number) => Math.min(23, 9 + 2 * session);

/** Fetches a day's weather at the circuit and puts it into the plan. */
export function WeatherPanel({ plan }: { plan: Plan }) {
  const project = useProject();
  const edit = useEdit();
  const units = useUnits();
  const served = useStandIns();
  const [date, setDate] = useState(() => new Date().toISOString().slice(0, 10));
  const [hours, setHours] = useState<readonly Hour[] | null>(null);
  const [busy, setBusy] = useState(false);
  const circuit = project.circuits.find((c) => c.id === plan.circuitId);
  const ask = async () => {
    setBusy(true);
    try {
      const place = circuit?.place;
      const query = new URLSearchParams({
        date,
        latitude: String(place?.latitudeDeg ?? 46),
        longitude: String(place?.longitudeDeg ?? 0),
        height: String(circuit?.altitudeM ?? 0),
      });
      const response = await fetch(ownAddress(`stand-in/weather?${query}`));
      if (!response.ok) throw new Error(await response.text());
      setHours(answerSchema.parse(await response.json()).hours);
    } catch (error) {
      toast.error(
        say.noWeatherCamePlan(
          error instanceof z.core.$ZodError ? 'the answer was not as expected' : (error as Error).message,
        ),
      );
    } finally {
      setBusy(false);
    }
  };
  const use = (all: readonly Hour[]) => {
    const at = (session: number) => all[Math.min(all.length - 1, hourOf(session))];
    const each = plan.sessions.map((_, i) => at(i));
    const made = edit('Weather of the plan', (p) => setWeather(p, plan.id, each), {
      done: 'The weather is in the plan',
    });
    if (made) setHours(null);
  };
  return (
    <div className="sm:col-span-2 lg:col-span-3" data-testid="weather">
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-[190px]">
          <CaptionedDay label="Weather of a day" value={date} onChange={setDate} />
        </div>
        <button type="button" className="btn" disabled={busy || date === '' || !served} onClick={ask}>
          {busy ? 'Asking …' : 'Ask the weather service'}
        </button>
        <span className="caption pb-1.5">{served ? say.simulatedServiceComesProgram : say.noService}</span>
      </div>
      {hours && (
        <div className="mt-2 flex flex-wrap items-center gap-3" role="status">
          {plan.sessions.map((session, i) => {
            const hour = hours[Math.min(hours.length - 1, hourOf(i))];
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: sessions have no id, and their place is what they are
              <span key={i}>
                {session.name}, {hour.time.slice(11, 16)}:{' '}
                {formatQuantity(hour.temperatureC, 'temperature', units)},{' '}
                {formatQuantity(hour.pressureHpa, 'airPressure', units)}, {hour.humidityPercent} %, wind{' '}
                {formatQuantity(hour.windKmh, 'speed', units)}
              </span>
            );
          })}
          <button type="button" className="btn btn-main" onClick={() => use(hours)}>
            Put it into the plan
          </button>
        </div>
      )}
    </div>
  );
}
