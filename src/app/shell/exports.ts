/** What the menu of files exports. Were all of `report` fetched here, every page that uses a part of it would load all of it. */
export { resultDocument, tracesCsv, zonesCsv } from '../../report';
