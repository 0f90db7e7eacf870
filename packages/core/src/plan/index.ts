export * from './changes';
export * from './check';
export * from './draft';
export * from './merge';
export * from './new-plan';
export * from './plan';
export * from './schema';
