export * from './follow';
export * from './shapes';
export * from './straighten';
export * from './walk';
export * from './walk-words';
export * from './drawn-over';
