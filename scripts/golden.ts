import { writeFileSync } from 'node:fs';
import { demoNumbers } from '../tests/support/goldenDays';

/** Writes the demo's numbers anew, after a change that moves them on purpose and says so in CHANGELOG.md. */
const lists = (plan: Record<string, number[]>) =>
  Object.entries(plan).map(([name, list]) => `${JSON.stringify(name)}: ${JSON.stringify(list)}`);
const plans = Object.entries(demoNumbers()).map(
  ([id, plan]) => `${JSON.stringify(id)}: {\n${lists(plan).join(',\n')}\n}`,
);
writeFileSync('tests/golden/days.json', `{\n${plans.join(',\n')}\n}\n`);
