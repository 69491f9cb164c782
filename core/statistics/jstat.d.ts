declare module 'jstat' {
  /** Distributions of the jStat library that are used here. */
  const jStat: {
    centralF: { cdf: (x: number, df1: number, df2: number) => number }
    studentt: { inv: (p: number, df: number) => number }
    gammaln: (x: number) => number
    beta: { inv: (p: number, alpha: number, beta: number) => number }
  }
  export default jStat
}
