declare module 'ml-matrix/src/dc/cholesky' {
  export { CholeskyDecomposition as default } from 'ml-matrix';
}
declare module 'ml-matrix/src/decompositions' {
  export { inverse, solve } from 'ml-matrix';
}
declare module 'ml-matrix/src/matrix' {
  export { Matrix as default } from 'ml-matrix';
}
