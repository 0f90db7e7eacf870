export * from './draw-floor';
export { lineAlong } from './opening-signs';
export * from './marks';
