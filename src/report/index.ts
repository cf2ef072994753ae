export { testDocument } from './brakeTest';
export { comparisonCsv } from './comparisonCsv';
export { tracesCsv, zonesCsv } from './csv';
export { benchCsv, preparationDocument } from './preparation';
export { networkDocument, resultDocument } from './results';
export { seasonCalendar, seasonCsv, seasonDocument } from './season';
export { FORCE_COLUMNS, WHEEL_COLUMNS, ZONE_COLUMNS, type ZoneRow, zoneRows } from './zoneRows';
