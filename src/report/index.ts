export { comparisonCsv } from './comparisonCsv';
export { stopsCsv, tracesCsv } from './csv';
export { networkDocument, resultDocument } from './results';
export { FORCE_COLUMNS, STOP_COLUMNS, type StopRow, stopRows, WHEEL_COLUMNS } from './stopRows';
