/** What the menu of files exports, in a file of its own: to fetch the whole of `report` would hand its every page all of it. */
export { resultDocument, tracesCsv, zonesCsv } from '../../report';
