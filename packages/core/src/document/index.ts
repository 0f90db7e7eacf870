export * from './merge';
export * from './planar';
export * from './problems';
export * from './read-plan';
export * from './sound-edit';
