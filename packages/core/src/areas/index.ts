export * from './deviation';
export * from './heights';
export * from './pieces';
export * from './report';
export * from './rounding';
export * from './rules';
export * from './table';
export * from './uses';
