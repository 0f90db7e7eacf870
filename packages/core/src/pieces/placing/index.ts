export * from './place';
export { placeTogether } from './together';
export type { Placed, Placing } from './placing';
