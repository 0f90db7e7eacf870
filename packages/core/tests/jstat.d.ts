declare module 'jstat' {
  const jstat: { jStat: { normal: { inv(p: number, mean: number, deviation: number): number } } };
  export default jstat;
}
