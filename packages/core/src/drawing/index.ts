export * from './draw-floor';
export { lineAlong } from './openings';
export * from './marks';
