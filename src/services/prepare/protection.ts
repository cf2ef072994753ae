import type { ExposedReports, ProtectionKind } from '../cooling/exposedReport';

/** What could be done for a part that comes over its rating. */
export interface ProtectionJob {
  readonly id: string;
  /** K */
  readonly rating: number;
  readonly peak: number;
  /** Of the same part on the other side of the car, K */
  readonly otherSide: number;
  /** Each way with what it brings, K, the one that brings most first */
  readonly ways: readonly {
    readonly kind: Exclude<ProtectionKind, 'none'>;
    readonly peak: number;
    readonly brings: number;
  }[];
}

/** Parts near something hot that come over their rating on one side or the other, the worst first. */
export function protectionJobs({ parts }: ExposedReports): ProtectionJob[] {
  return parts
    .flatMap(({ id, rating, ways, otherSide }): ProtectionJob[] => {
      const bare = ways.find(({ kind }) => kind === 'none');
      if (!bare || Math.max(bare.peak, otherSide) <= rating) return [];
      const done = ways.flatMap(({ kind, peak }) =>
        kind === 'none' ? [] : [{ kind, peak, brings: bare.peak - peak }],
      );
      return [{ id, rating, peak: bare.peak, otherSide, ways: done.sort((a, b) => a.peak - b.peak) }];
    })
    .sort((a, b) => b.peak - b.rating - (a.peak - a.rating));
}
