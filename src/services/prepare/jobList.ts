import type { AxleName, WheelName } from '../../core';
import type { Done, TorqueKey } from '../../model';
import { type Caution, ruleOf, STEP_CODES, type StepCode, type StopFor, TOOLS, type Tool } from './stepTable';
import { torqueOf, type Work } from './work';

/** A step of the job list. */
export interface JobStep {
  /** `frontLeft caliper on`: what it is ticked by */
  readonly id: string;
  readonly code: StepCode;
  /** Null of the whole car */
  readonly wheel: WheelName | null;
  readonly cautions: readonly Caution[];
  readonly stops: readonly StopFor[];
  /** The maker's figure that it needs; `torqueNm` null while nobody has entered it */
  readonly torque: {
    readonly key: TorqueKey;
    readonly torqueNm: number | null;
    readonly by: string;
    readonly date: string;
  } | null;
  readonly moves: boolean;
  readonly done: Done | null;
}

export interface JobList {
  readonly steps: readonly JobStep[];
  readonly tools: readonly Tool[];
  readonly open: number;
  /** Joints whose figure nobody has entered */
  readonly missing: readonly TorqueKey[];
}

/** The steps of a preparation in their order: only those that apply to what this car has and what is done to it. */
export function jobList(work: Work): JobList {
  const steps: JobStep[] = [];
  const add = (code: StepCode, wheel: WheelName | null, axle: AxleName | null) => {
    const { cautions = [], stops = [], torque, moves } = ruleOf(code);
    const id = wheel ? `${wheel} ${code}` : code;
    const key: TorqueKey | null = torque && axle ? `${axle} ${torque}` : null;
    const figure = key && torqueOf(work, key);
    steps.push({
      id,
      code,
      wheel,
      cautions,
      stops,
      torque: key && {
        key,
        torqueNm: figure?.torqueNm ?? null,
        by: figure?.by ?? '',
        date: figure?.date ?? '',
      },
      moves: moves === true,
      done: work.preparation.ticks[id] ?? null,
    });
  };
  const ofCar = (at: 'before' | 'after') => {
    for (const code of STEP_CODES) {
      const rule = ruleOf(code);
      if (rule.at !== at || !rule.when(work)) continue;
      const axle = code.endsWith(' front') ? 'front' : code.endsWith(' rear') ? 'rear' : null;
      add(code, null, axle);
    }
  };
  ofCar('before');
  for (const own of work.wheels) {
    for (const code of STEP_CODES) {
      const rule = ruleOf(code);
      if (rule.at === 'wheel' && rule.when(own)) add(code, own.wheel, own.axle);
    }
  }
  ofCar('after');
  const used = new Set(steps.flatMap(({ code }) => ruleOf(code).tools ?? []));
  const missing = steps.flatMap(({ torque }) => (torque && torque.torqueNm === null ? [torque.key] : []));
  return {
    steps,
    tools: TOOLS.filter((tool) => used.has(tool)),
    open: steps.filter(({ done }) => !done).length,
    missing: [...new Set(missing)],
  };
}
