export * from './apply';
export { bendOf } from './bend-wall';
export { wallsToCarry } from './carry-floor';
export * from './parts';
export { type Intent, editName } from './registry';
export { USUAL_SOLID } from './solids';
export * from './repair';
export * from './seen-rooms';
export type { StairChange } from './stairs';
