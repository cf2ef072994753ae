import { format } from 'date-fns';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { addTest, type Car, newTest } from '../../../model';
import { say } from '../../../text/en/say/test';
import { useEdit } from '../../state/useEdit';

/** Begins a test of a car and goes to it. */
export function useBeginTest(): (car: Car) => void {
  const edit = useEdit();
  const navigate = useNavigate();
  return useCallback(
    (car) => {
      const id = crypto.randomUUID();
      const test = newTest(car, { id, name: say.newTest, date: format(new Date(), 'yyyy-MM-dd') });
      if (edit('New test', (p) => addTest(p, test))) void navigate(`/test/design?test=${id}`);
    },
    [edit, navigate],
  );
}
