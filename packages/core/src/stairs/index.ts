export * from './checks';
export * from './on-floor';
export * from './shape';
export * from './steps';
export { stepsInWords } from './words';
