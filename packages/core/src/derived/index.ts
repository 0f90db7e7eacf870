export * from './cavities';
export * from './derive-floor';
export * from './misclosures';
export * from './readings';
export * from './reading-lines';
export * from './over-below';
export * from './open-above';
