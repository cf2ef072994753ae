import { useEffect } from 'react';
import { say } from '../../text/en/say/shell';
import { useEngine } from '../state/context';
import { toast } from '../ui/toast';

/** Says once where the fast kernel does not run. */
export function KernelNotice() {
  const engine = useEngine();
  useEffect(() => {
    engine
      .call((remote) => remote.kernelTrouble() as Promise<string | null>)
      .then((reason) => {
        if (reason !== null) toast.info(say.kernelMissing(reason), { id: 'kernel', duration: 8000 });
      })
      // A worker that does not start is said where a result is missing.
      .catch(() => {});
  }, [engine]);
  return null;
}
