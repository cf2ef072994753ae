/**
 * Elementary functions made of additions, multiplications, divisions and square roots alone, which every engine rounds
 * alike. The language leaves the last digit of its own to each engine, and a day of heat steps carries such a digit into
 * what is shown.
 *
 * Method and coefficients of exp, log, sin and cos: Sun Microsystems' fdlibm (e_exp.c, e_log.c, k_sin.c, k_cos.c), from
 * memory, checked in math.test.ts.
 */

const LN2_HIGH = 0.6931471803691238;
const LN2_LOW = 1.9082149292705877e-10;
const INVERSE_LN2 = Math.LOG2E;

/** A number's bits, the last ones first, as processors have them. */
const bits = new DataView(new ArrayBuffer(8));

/** 2 to each whole power from −1022 to 1023, exactly: exponents without a mantissa. */
const powersOfTwo = Float64Array.from({ length: 2046 }, (_, i) => {
  bits.setInt32(4, (i + 1) << 20, true);
  return bits.getFloat64(0, true);
});

/** e to the power of x. */
export function exp(x: number): number {
  if (!(x < 709)) return x === Number.POSITIVE_INFINITY ? x : Number.isNaN(x) ? x : Number.POSITIVE_INFINITY;
  if (x < -708) return 0;
  const k = Math.round(INVERSE_LN2 * x);
  const high = x - k * LN2_HIGH;
  const low = k * LN2_LOW;
  const r = high - low;
  const t = r * r;
  const c =
    r -
    t *
      (0.16666666666666602 +
        t *
          (-0.0027777777777015593 +
            t * (6.613756321437934e-5 + t * (-1.6533902205465252e-6 + t * 4.1381367970572385e-8))));
  const y = 1 - (low - (r * c) / (2 - c) - high);
  return y * powersOfTwo[k + 1022];
}

/** Natural logarithm of x; NaN under 0, −Infinity at 0. */
export function log(x: number): number {
  if (!(x > 0)) return x === 0 ? Number.NEGATIVE_INFINITY : Number.NaN;
  if (x === Number.POSITIVE_INFINITY) return x;
  if (x < 2.3e-308) return log(x * 18014398509481984) - 54 * (LN2_HIGH + LN2_LOW);
  bits.setFloat64(0, x, true);
  const word = bits.getInt32(4, true);
  let k = (word >> 20) - 1023;
  // The mantissa, brought between √½ and √2.
  bits.setInt32(4, (word & 0xfffff) | 0x3ff00000, true);
  let m = bits.getFloat64(0, true);
  if (m > Math.SQRT2) {
    m *= 0.5;
    k += 1;
  }
  const f = m - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const t1 = w * (0.3999999999940942 + w * (0.22222198432149784 + w * 0.15313837699209373));
  const t2 =
    z * (0.6666666666666735 + w * (0.2857142874366239 + w * (0.1818357216161805 + w * 0.14798198605105117)));
  const half = 0.5 * f * f;
  return k * LN2_HIGH - (half - (s * (half + t1 + t2) + k * LN2_LOW) - f);
}

/** A positive number to any power. */
export function power(base: number, exponent: number): number {
  return base === 0 ? 0 : exp(exponent * log(base));
}

/** Root of the sum of squares, by products and a root alone: the same in every engine. */
export function rootOfSquares(...parts: readonly number[]): number {
  return Math.sqrt(parts.reduce((sum, part) => sum + part * part, 0));
}

/** Cube root of a number that is not negative. */
export function cubeRoot(x: number): number {
  if (x === 0) return 0;
  const y = exp(log(x) / 3);
  // One step of Newton takes off what the logarithm left.
  return y - (y * y * y - x) / (3 * y * y);
}

const HALF_PI_HIGH = 1.5707963267341256;
const HALF_PI_LOW = 6.077100506506192e-11;

/** Sine and cosine between −π/4 and π/4. */
const kernelSin = (r: number, z: number) =>
  r +
  r *
    z *
    (-0.16666666666666632 +
      z *
        (0.00833333333332249 +
          z *
            (-0.0001984126982985795 +
              z * (2.7557313707070068e-6 + z * (-2.5050760253406863e-8 + z * 1.58969099521155e-10)))));
const kernelCos = (z: number) =>
  1 -
  0.5 * z +
  z *
    z *
    (0.0416666666666666 +
      z *
        (-0.001388888888887411 +
          z *
            (2.480158728947673e-5 +
              z * (-2.7557314351390663e-7 + z * (2.087572321298175e-9 + z * -1.1359647557788195e-11)))));

/** Sine of an angle in rad, up to some thousand turns. */
export function sin(x: number): number {
  return quadrant(x, 0);
}

/** Cosine of an angle in rad, up to some thousand turns. */
export function cos(x: number): number {
  return quadrant(x, 1);
}

function quadrant(x: number, shift: 0 | 1): number {
  const n = Math.round(x / (HALF_PI_HIGH + HALF_PI_LOW));
  const r = x - n * HALF_PI_HIGH - n * HALF_PI_LOW;
  const z = r * r;
  const which = (((n + shift) % 4) + 4) % 4;
  const value = which % 2 === 0 ? kernelSin(r, z) : kernelCos(z);
  return which < 2 ? value : -value;
}
