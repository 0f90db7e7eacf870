export * from './checks';
export * from './from-wall';
export * from './on-floor';
export * from './shape';
export * from './steps';
export { stepsInWords } from './words';
