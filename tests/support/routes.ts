/** Every page of the application, each with its tabs. */
export const ROUTES = [
  '/',
  '/inside',
  ...['chain', 'balance', 'pedal', 'failure', 'fit', 'parts'].map((tab) => `/garage/${tab}`),
  '/car',
  '/circuit',
  ...['map', 'severity', 'import'].map((tab) => `/circuits/${tab}`),
  '/plan',
  ...['jobs', 'checks', 'bleed', 'bed', 'heat', 'workshop'].map((tab) => `/prepare/${tab}`),
  ...['design', 'record', 'evaluate', 'setups', 'technique', 'bench'].map((tab) => `/test/${tab}`),
  ...['logs', 'laps', 'heat', 'live'].map((tab) => `/log/${tab}`),
  ...['readings', 'fit', 'next', 'kept'].map((tab) => `/calibrate/${tab}`),
  '/happened',
  ...['entries', 'after', 'inspect', 'fluid', 'wear', 'season'].map((tab) => `/logbook/${tab}`),
  ...['first', 'find-out', 'cooling', 'compare', 'ladder', 'pace', 'balance', 'sure', 'exposed', 'sheet'].map(
    (tab) => `/decide/${tab}`,
  ),
  '/library',
  '/help',
  ...['car', 'circuit', 'plan'].map((step) => `/new/${step}`),
  '/nowhere',
];
