/** Stefan-Boltzmann constant, W/(m²·K⁴). CODATA 2018. */
export const STEFAN_BOLTZMANN = 5.670374419e-8;

/** Standard acceleration of free fall, m/s². ISO 80000-3. */
export const STANDARD_GRAVITY = 9.80665;

/** 0 °C in K. */
export const ZERO_CELSIUS = 273.15;
