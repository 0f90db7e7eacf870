export * from './apply';
export { bendOf } from './bend-wall';
export * from './intent';
export { USUAL_SOLID } from './solids';
export * from './repair';
export * from './seen-rooms';
