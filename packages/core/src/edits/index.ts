export * from './apply';
export { bendOf } from './bend-wall';
export * from './intent';
export { USUAL_SOLID } from './solids';
export type { Motion } from './transform-rooms';
export * from './repair';
