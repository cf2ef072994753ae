/** Where a phone says it is. */
export interface PhoneFix {
  /** s of the phone's clock */
  readonly time: number;
  readonly latitude: number;
  readonly longitude: number;
  /** Radius it lies within with 95 %, m */
  readonly accuracy: number;
  /** m/s; null where the receiver gives none */
  readonly speed: number | null;
}

/** What a phone's accelerometer feels, without gravity, along three axes that stay the same through the stop. */
export interface PhoneMotion {
  /** s of the phone's clock */
  readonly time: number;
  /** m/s² */
  readonly x: number;
  readonly y: number;
  readonly z: number;
}
