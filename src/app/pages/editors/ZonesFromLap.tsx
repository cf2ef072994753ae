import { useState } from 'react';
import { useNavigate } from 'react-router';
import { sampleLine } from '../../../core';
import { addCircuit, applyWhatIf, type Circuit, circuitInput, dayInput, zonesFromLap } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { useEngine, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { toast } from '../../ui/toast';

/** Writes the lap, as the selected plan's car drives it, down as a list of braking zones: a new circuit beside this one. */
export function ZonesFromLap({ circuit }: { circuit: Circuit }) {
  const edit = useEdit();
  const engine = useEngine();
  const setup = useSetup();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    try {
      const wanted = applyWhatIf({ ...setup, circuit }, {});
      const result = await engine.call((remote) => remote.simulate(dayInput(wanted)));
      const line = circuitInput(circuit);
      const zones = zonesFromLap(result.trace, line.kind === 'line' ? sampleLine(line.segments, 1) : null);
      if (zones.length === 0) {
        toast(say.lapHasNoBraking);
        return;
      }
      const id = crypto.randomUUID();
      const copy: Circuit = {
        ...circuit,
        id,
        name: `${circuit.name} as braking zones`.slice(0, 80),
        layout: { kind: 'zones', zones },
      };
      if (edit('List of braking zones made', (p) => addCircuit(p, copy))) navigate(`/circuit/${id}`);
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="panel px-3 py-2.5">
      <p className="caption">{say.drivenLapCanWritten(setup.car.name, setup.plan.name)}</p>
      <button type="button" className="btn mt-2" onClick={make} disabled={busy}>
        {busy ? 'Driving the lap …' : 'Make a list of braking zones'}
      </button>
    </section>
  );
}
