import type { LogAnalysis } from '../../../services';
import type { LogEntry } from '../../../storage';

/** What a view of an open log is given. */
export interface LogViewProps {
  readonly entry: LogEntry;
  readonly analysis: LogAnalysis;
}
