import { useNavigate } from 'react-router';
import { addPreparation, type Car, type Change, newPreparation } from '../../model';
import { useProject, useSetup } from '../state/context';
import { useEdit } from '../state/useEdit';

/** Begins work on a car, and goes there. */
export function useBegin(): (car: Car, name: string, changes: readonly Change[]) => void {
  const project = useProject();
  const { plan } = useSetup();
  const edit = useEdit();
  const navigate = useNavigate();
  return (car, name, changes) => {
    const id = crypto.randomUUID();
    const date = plan.date ?? new Date().toISOString().slice(0, 10);
    const fresh = newPreparation(car, changes, project.parts, { id, name, date });
    if (!edit('New preparation', (p) => addPreparation(p, fresh))) return;
    navigate({ pathname: '/prepare/jobs', search: `?work=${id}` });
  };
}
