/** The part of npm `jstat` 1.9.6 that is used; the package ships no types. */
declare module 'jstat' {
  interface Jstat {
    readonly studentt: {
      cdf(x: number, dof: number): number;
      inv(p: number, dof: number): number;
    };
    readonly noncentralt: { cdf(x: number, dof: number, ncp: number): number };
  }
  const jstat: { readonly jStat: Jstat };
  export default jstat;
}
