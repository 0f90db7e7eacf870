export * from './draw-floor';
export { drawnBox } from './drawn-box';
export * from './elevation';
export * from './form-sign';
export { lineAlong } from './opening-signs';
export * from './marks';
export * from './painter';
export * from './pictures';
export * from './styles';
