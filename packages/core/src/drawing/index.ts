export * from './draw-floor';
export * from './elevation';
export * from './form-sign';
export { lineAlong } from './opening-signs';
export * from './marks';
export * from './painter';
export * from './pictures';
export * from './styles';
