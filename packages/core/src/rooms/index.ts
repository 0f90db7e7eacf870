export * from './bend';
export * from './surfaces';
export * from './label-point';
export * from './reconcile';
export * from './room-outline';
