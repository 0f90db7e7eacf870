export * from './draw-on-plan';
