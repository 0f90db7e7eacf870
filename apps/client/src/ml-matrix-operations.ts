/** Operations on each number of a matrix, none of which is used: `Matrix.abs`, `sin`, `or` … In place of those of the library on the web (metro.config.js). */
export function installMathOperations(): void {}
