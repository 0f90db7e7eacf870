export * from './draw-floor';
export * from './marks';
