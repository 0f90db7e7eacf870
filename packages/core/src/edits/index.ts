export * from './apply';
export { wallsToCarry } from './later';
export * from './parts';
export { type Intent, editName } from './registry';
export { USUAL_SOLID } from './solids';
export * from './repair';
export * from './seen-rooms';
export type { AddSheets } from './later/sheets';
export type { StairChange } from './later/stairs';
