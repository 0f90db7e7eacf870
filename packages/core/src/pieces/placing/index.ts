export { type AlongWall, betweenPoints, wallNear, wallToWall } from './along-wall';
export * from './place';
export { placeTogether } from './together';
export type { Placed, Placing } from './placing';
