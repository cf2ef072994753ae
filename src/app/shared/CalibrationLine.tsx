import { format, parseISO } from 'date-fns';
import { Link } from 'react-router';
import { UNMEASURED } from '../../core';
import { doubtOf, lostValues, parameterInfo } from '../../model';
import { doubtText } from '../../text/en';
import { say } from '../../text/en/say/shared';
import { useProject, useSetup } from '../state/context';

/** How well the car's cooling is known, and from when; what no longer holds is named. */
export function CalibrationLine() {
  const { calibration, car } = useSetup();
  const { calibrations } = useProject();
  const newest = calibrations.filter(({ carId }) => carId === car.id).at(-1);
  const lost = newest ? lostValues(newest, car) : [];
  const doubt = calibration ? doubtOf(calibration) : UNMEASURED;
  return (
    <div className="panel max-w-[660px] px-3 py-1.5" data-testid="calibration-line">
      <p>
        {calibration
          ? say.calibratedOn(format(parseISO(calibration.date), 'd MMM yyyy'), doubtText(doubt))
          : say.notCalibrated(doubtText(doubt))}{' '}
        <Link className="underline" to="/calibrate/kept">
          Calibrations
        </Link>
      </p>
      {lost.length > 0 && (
        <p className="text-[13px]" role="status">
          {say.noLongerHolds(
            lost.map(({ parameter }) => parameterInfo(parameter).title.toLowerCase()).join(', '),
            [...new Set(lost.flatMap(({ changed }) => changed))].join(', '),
          )}
        </p>
      )}
    </div>
  );
}
