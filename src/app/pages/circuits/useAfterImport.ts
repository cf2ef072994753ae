import { useNavigate, useSearchParams } from 'react-router';

/** Where an imported circuit leads: to its own page, or on to the plan of the car that is being entered. */
export function useAfterImport(): (circuitId: string) => void {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const car = search.get('car');
  return (circuitId) =>
    navigate(car ? `/new/plan?car=${encodeURIComponent(car)}&circuit=${circuitId}` : `/circuit/${circuitId}`);
}
