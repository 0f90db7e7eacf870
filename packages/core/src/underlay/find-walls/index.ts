export * from './find-walls';
