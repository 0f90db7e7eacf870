export * from './chain';
export * from './network';
export * from './cells';
export * from './outline';
export * from './planarise';
export * from './standing';
