export { changeInWords } from './change-in-words';
export * from './merge';
export * from './own-work';
export * from './patch';
export { shortened, unkeepable } from './plain-data';
export * from './planar';
export * from './problems';
export * from './read-plan';
export * from './sound-edit';
