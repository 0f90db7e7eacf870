export * from './calibration';
export * from './find-walls';
export * from './flatten';
export * from './homography';
export * from './placement';
export * from './raster';
export * from './dark-lines';
export * from './rescale';
