export * from './place';
export type { Placed, Placing } from './placing';
