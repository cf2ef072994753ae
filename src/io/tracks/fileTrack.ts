/** One line of a file, in order; n points. */
export interface FileTrack {
  readonly name: string;
  /** Degrees, or metres where `metric` */
  readonly a: Float64Array;
  readonly b: Float64Array;
  /** `a` is east and `b` north in metres; otherwise `a` is latitude and `b` longitude in degrees */
  readonly metric: boolean;
  /** m; NaN where missing */
  readonly height: Float64Array;
  /** s since 1970; NaN where missing */
  readonly time: Float64Array;
}

/** What a file of tracks holds. */
export interface TrackFile {
  readonly ok: true;
  readonly kind: 'GPX' | 'KML' | 'GeoJSON' | 'CSV';
  readonly tracks: readonly FileTrack[];
  /** What is odd but was read all the same */
  readonly notes: readonly string[];
}
