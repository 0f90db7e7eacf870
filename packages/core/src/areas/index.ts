export * from './deviation';
export * from './heights';
export * from './pieces';
export * from './rules';
export * from './table';
export * from './uses';
