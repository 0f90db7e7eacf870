export * from './calibration';
// what finds walls is large, and used in a worker only: it is to be had by its own name (underlay/find-walls)
export type { FoundWall, FoundWalls } from './find-walls';
export * from './flatten';
export * from './homography';
export * from './placement';
export * from './raster';
export * from './dark-lines';
export * from './rescale';
export * from './seen-walls';
export * from './onto-lines';
