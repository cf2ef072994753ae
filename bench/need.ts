import { demoProject } from '../demo/project';
import { coolingNeed, fastestPlan, simulateDay } from '../src/core';
import { dayInput, setupOf } from '../src/model';
import { waysToKeep } from '../src/services';

/** What finding ducts, ways and plans costs, in session runs and ms. Prints JSON. */
const rows = demoProject.plans.map((plan) => {
  const setup = setupOf(demoProject, plan.id);
  const input = dayInput(setup);
  for (let i = 0; i < 3; i++) simulateDay(input);
  const time = <T>(run: () => T): { ms: number; value: T } => {
    const start = performance.now();
    const value = run();
    return { ms: performance.now() - start, value };
  };
  const one = time(() => simulateDay(input)).ms;
  const need = time(() => coolingNeed(input, plan.targetMarginK));
  const ways = time(() => waysToKeep(demoProject, setup, plan.targetMarginK, need.value));
  const pace = time(() => fastestPlan(input, 0, 20 * 60, plan.targetMarginK));
  return {
    plan: plan.name,
    sessionMs: one,
    needRuns: need.value.runs,
    needMs: need.ms,
    front: `${need.value.front.kind} ${(need.value.front.area * 1e4).toFixed(1)} cm²`,
    rear: `${need.value.rear.kind} ${(need.value.rear.area * 1e4).toFixed(1)} cm²`,
    waysMs: ways.ms,
    paceRuns: pace.value.runs,
    paceMs: pace.ms,
  };
});
console.log(JSON.stringify(rows));
