export * from './changes';
export * from './draft';
export * from './floor-plan';
export * from './new-plan';
export * from './plan';
export * from './schema';
export * from './storeys';
