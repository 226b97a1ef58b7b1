/** The few functions of jStat that core uses; the package brings no types of its own. */
declare module 'jstat' {
  const jStat: {
    betaln(a: number, b: number): number;
    normal: { cdf(x: number, mean: number, deviation: number): number };
    beta: { inv(probability: number, a: number, b: number): number };
  };
  export default jStat;
}
