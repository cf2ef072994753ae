export { comparisonCsv } from './comparisonCsv';
export { stopsCsv, tracesCsv } from './csv';
export {
  FORCE_COLUMNS,
  networkDocument,
  resultDocument,
  STOP_COLUMNS,
  type StopRow,
  stopRows,
  WHEEL_COLUMNS,
} from './results';
