/** What of the library for matrices is used: the whole of it has much that every phone would have to fetch. In place of it on the web (metro.config.js). */
export { default as CholeskyDecomposition } from 'ml-matrix/src/dc/cholesky';
export { inverse, solve } from 'ml-matrix/src/decompositions';
export { default as Matrix } from 'ml-matrix/src/matrix';
