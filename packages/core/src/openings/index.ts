export * from './fit';
export * from './gap-misclosure';
export { type GapJudged, type WallKnown, judgedGaps, wallRead } from './gap-net';
export * from './gap-run';
export * from './gaps';
export * from './swing';
export * from './types';
