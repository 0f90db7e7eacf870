declare module 'jstat' {
  const jstat: {
    jStat: {
      normal: { inv(p: number, mean: number, deviation: number): number };
      models: { ols(values: number[], design: number[][]): { coef: number[]; predict: number[] } };
    };
  };
  export default jstat;
}
