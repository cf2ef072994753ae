/** Coefficient of the two-stage, stiffly accurate, L-stable SDIRK method (Alexander 1977, SIAM J. Numer. Anal. 14). */
export const GAMMA = 1 - Math.SQRT1_2;
