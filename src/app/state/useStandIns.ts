import { useQuery } from '@tanstack/react-query';
import * as z from 'zod/mini';
import { ownAddress } from '../ui/ownAddress';

const answerSchema = z.object({ standIns: z.array(z.string()) });

/** Whether the server's simulated devices and services are there: not where files alone are hosted, nor without a server. */
export function useStandIns(): boolean {
  const { isError } = useQuery({
    queryKey: ['stand-ins'],
    queryFn: async () => {
      const answer = await fetch(ownAddress('stand-in/list'));
      if (!answer.ok) throw new Error(String(answer.status));
      return answerSchema.parse(await answer.json()).standIns;
    },
    retry: false,
    networkMode: 'always',
    staleTime: 30_000,
    refetchOnWindowFocus: true,
  });
  // Until it is known they are taken to be there.
  return !isError;
}
