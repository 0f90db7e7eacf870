export * from './chain';
export * from './network';
export * from './faces';
export * from './outline';
export * from './planarise';
export * from './standing';
