export * from './shapes';
export * from './straighten';
