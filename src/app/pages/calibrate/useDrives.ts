import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { DayInput } from '../../../core';
import type { StoredDrive } from '../../../model';
import { type CalibrationCase, caseOf } from '../../../services';
import { useBackground, useProject, useSetup } from '../../state/context';

/** Drives of the selected plan's car, the oldest first, and those of other cars. */
export function useDrives(): { readonly own: readonly StoredDrive[]; readonly others: number } {
  const { drives } = useProject();
  const { car } = useSetup();
  return useMemo(() => {
    const own = drives.filter((drive) => drive.car.id === car.id);
    return { own, others: drives.length - own.length };
  }, [drives, car.id]);
}

/** The drive that is open: the one the address names, else the newest of this car. */
export function useOpenDrive(): StoredDrive | null {
  const { drives } = useProject();
  const { own } = useDrives();
  const [search] = useSearchParams();
  const wanted = search.get('drive');
  return drives.find(({ id }) => id === wanted) ?? own[own.length - 1] ?? null;
}

/** A drive's day and readings; a log that it was driven by is read first. */
export function useCase(drive: StoredDrive | null): {
  readonly ready: CalibrationCase | null;
  readonly error: string | null;
} {
  const logged = useLoggedDays(drive ? [drive] : []);
  const ready = useMemo(() => {
    if (!drive || (drive.log && !logged.days)) return null;
    return caseOf(drive, logged.days?.get(drive.id) ?? null);
  }, [drive, logged.days]);
  return { ready, error: logged.error };
}

/** Days of drives as their logs have them, by the drive's id. */
export function useLoggedDays(drives: readonly StoredDrive[]): {
  readonly days: ReadonlyMap<string, DayInput> | null;
  readonly error: string | null;
} {
  const { files } = useBackground();
  const logged = drives.filter(({ log }) => log !== null);
  const query = useQuery({
    queryKey: ['logged days', logged.map(({ id, log, car, plan, circuit }) => [id, log, car, plan, circuit])],
    enabled: logged.length > 0,
    queryFn: async () => {
      const days = new Map<string, DayInput>();
      for (const drive of logged) {
        const setup = { ...drive, calibration: null };
        days.set(drive.id, await files.call((remote) => remote.loggedDay(drive.log?.id ?? '', setup)));
      }
      return days;
    },
  });
  if (logged.length === 0) return { days: NONE, error: null };
  return { days: query.data ?? null, error: query.error ? query.error.message : null };
}
const NONE: ReadonlyMap<string, DayInput> = new Map();
