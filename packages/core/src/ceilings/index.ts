export * from './break-on-floor';
export * from './fit-plane';
export * from './frame';
export * from './headroom';
export * from './lowest';
export * from './room-ceiling';
export * from './section';
export * from './slope-on-floor';
