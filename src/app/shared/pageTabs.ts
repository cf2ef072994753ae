/** The views of each page that has several: last piece of the address, and name. */
export const PAGE_TABS = {
  garage: [
    { path: 'chain', name: 'Foot to tyre' },
    { path: 'balance', name: 'Loads and balance' },
    { path: 'pedal', name: 'Pedal and fade' },
    { path: 'failure', name: 'If something fails' },
    { path: 'fit', name: 'Does it fit' },
    { path: 'parts', name: 'Parts shelf' },
  ],
  circuits: [
    { path: 'map', name: 'Map' },
    { path: 'severity', name: 'How hard on brakes' },
    { path: 'import', name: 'From a file' },
  ],
  decide: [
    { path: 'first', name: 'What first' },
    { path: 'find-out', name: 'What to find out' },
    { path: 'cooling', name: 'Cooling need' },
    { path: 'compare', name: 'Compare setups' },
    { path: 'next', name: 'What to buy next' },
    { path: 'pace', name: 'Pace and plan' },
    { path: 'balance', name: 'Balance' },
    { path: 'sure', name: 'Uncertainty' },
    { path: 'exposed', name: 'Heat-exposed parts' },
    { path: 'sheet', name: 'Run sheet' },
  ],
  prepare: [
    { path: 'jobs', name: 'Jobs' },
    { path: 'checks', name: 'Checks' },
    { path: 'bleed', name: 'Bleed' },
    { path: 'bed', name: 'Bed' },
    { path: 'heat', name: 'Heat protection' },
    { path: 'workshop', name: 'Workshop data' },
  ],
  test: [
    { path: 'design', name: 'Design' },
    { path: 'record', name: 'Record' },
    { path: 'evaluate', name: 'Evaluate' },
    { path: 'setups', name: 'Setups' },
    { path: 'technique', name: 'Technique' },
    { path: 'bench', name: 'Bench' },
  ],
  log: [
    { path: 'logs', name: 'Logs' },
    { path: 'laps', name: 'Laps and braking zones' },
    { path: 'heat', name: 'Measured and predicted' },
    { path: 'live', name: 'Live' },
  ],
  calibrate: [
    { path: 'readings', name: 'Readings' },
    { path: 'fit', name: 'Calibrate' },
    { path: 'next', name: 'Measure next' },
    { path: 'kept', name: 'Calibrations' },
  ],
  logbook: [
    { path: 'entries', name: 'Entries' },
    { path: 'after', name: 'After a session' },
    { path: 'inspect', name: 'Inspect' },
    { path: 'fluid', name: 'Fluid' },
    { path: 'wear', name: 'Sets and wear' },
    { path: 'season', name: 'Season' },
  ],
} as const satisfies Readonly<Record<string, readonly { readonly path: string; readonly name: string }[]>>;

/** The views of a page with what shows each. */
export function tabsWith<
  P extends keyof typeof PAGE_TABS,
  M extends Readonly<Record<(typeof PAGE_TABS)[P][number]['path'], unknown>>,
>(page: P, views: M): readonly { readonly path: string; readonly name: string; readonly view: M[keyof M] }[] {
  return PAGE_TABS[page].map(({ path, name }) => ({ path, name, view: views[path as keyof M] }));
}
