export * from './changes';
export * from './draft';
export * from './new-plan';
export * from './plan';
export * from './schema';
