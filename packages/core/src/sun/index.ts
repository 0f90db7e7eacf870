export * from './sun-at';
export * from './on-floor';
