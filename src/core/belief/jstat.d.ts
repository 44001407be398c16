// jstat ships no types; only what the core uses of it is declared.
declare module "jstat" {
  const jstat: {
    readonly beta: {
      inv(p: number, alpha: number, beta: number): number;
      cdf(x: number, alpha: number, beta: number): number;
    };
    /** The natural logarithm of the beta function. */
    betaln(alpha: number, beta: number): number;
    readonly studentt: {
      inv(p: number, degreesOfFreedom: number): number;
    };
  };
  export default jstat;
}
