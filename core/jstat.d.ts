/** The few functions of jstat that are used here; the package has no types of its own. */
declare module 'jstat' {
  interface Jstat {
    readonly studentt: {
      inv(probability: number, degrees: number): number;
    };
    readonly normal: { inv(probability: number, mean: number, sd: number): number };
  }
  const jstat: { readonly jStat: Jstat };
  export default jstat;
}
