export * from './chart';
export * from './colour';
export * from './laid';
export * from './look-of';
export * from './ready';
export * from './surface';
export * from './texture';
export * from './trim-of';
