export * from './degrees';
export * from './format';
export * from './parse';
export * from './unlikely';
